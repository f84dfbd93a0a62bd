/** The floor: several clients who train at once, on one screen. What it shows of each, and what its address asks. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { uuidv7 } from '#lib/core/base/uuid.ts';
import type { Found } from './found.ts';
import type { MineWork } from './mine.ts';

/** More than this nobody watches at once. @source common-practice */
export const MOST_ON_FLOOR = 6;

export interface FloorClient {
	readonly clientId: string;
	readonly name: string;
	readonly today: Day;
	readonly work: readonly MineWork[];
	/** What the arrival card answered; null where nobody asked yet. */
	readonly arrived: 'go' | 'lighter' | 'not-today' | null;
	/** Pain before, as the card has it: "knee-right.before" → "2". */
	readonly before: Readonly<Record<string, string>>;
	/** An open red flag: nothing is done. */
	readonly flag: boolean;
}

export interface FloorView {
	readonly clients: readonly FloorClient[];
	/** Who can come onto it, of those whose name was asked; null where none was. */
	readonly others: Found | null;
	/** Nobody was named: those who arrived today. */
	readonly ofToday: boolean;
}

/** Whom the address names, each once, at most so many; null where it names nobody. */
export function floorAsked(params: URLSearchParams): readonly string[] | null {
	const named = params.getAll('with').flatMap((x) => x.split(','));
	const ids = [...new Set(named)].filter((id) => uuidv7.test(id)).slice(0, MOST_ON_FLOOR);
	return params.has('with') ? ids : null;
}

export const floorAddress = (ids: readonly string[]): string => `/floor?with=${ids.join(',')}`;
