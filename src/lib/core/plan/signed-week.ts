/** A week as somebody signed it, and what of it is done on a day. */
import { weekday, type Day } from '../base/calendar-day.ts';
import type { OrderSchool } from './session-order.ts';

/** Where one of a turn is an exercise of the plan, or a step alone that warms up or cools down. */
export type InTurn = { readonly exerciseId: string } | { readonly family: string; readonly step: string };

export interface WeekContent {
	readonly school: OrderSchool;
	readonly inTurn: boolean;
	/** The first week: four days of strength. */
	readonly learning: boolean;
	readonly minutes: number | null;
	/** 0 is Sunday. */
	readonly days: readonly { readonly weekday: number; readonly turns: readonly (readonly InTurn[])[] }[];
	/** What each exercise was given as when it was signed: its prescription. */
	readonly basedOn: Readonly<Record<string, string>>;
}

export interface SignedWeek extends WeekContent {
	readonly id: string;
	readonly day: Day;
}

/** Its id among the work of a client: the exercise's own, or ladder and step of what is done alone. */
export const idOf = (x: InTurn): string => ('exerciseId' in x ? x.exerciseId : aloneId(x.family, x.step));
export const aloneId = (family: string, step: string): string => `${family}/${step}`;
/** Nobody prescribed it: it warms up or cools down. */
export const isAlone = (id: string): boolean => id.includes('/');
/** Back from an id. */
export function inTurnOf(id: string): InTurn {
	const [family = '', step] = id.split('/');
	return step === undefined ? { exerciseId: id } : { family, step };
}

/** What of the signed week is done on a day, turn by turn; null on a day off. */
export const signedOn = (w: WeekContent, day: Day): WeekContent['days'][number]['turns'] | null =>
	w.days.find((d) => d.weekday === weekday(day))?.turns ?? null;

/** Exercises that stand otherwise than when the week was signed: given anew, gone, or come since. */
export function changedSince(
	w: Pick<WeekContent, 'basedOn'>,
	standing: Readonly<Record<string, string>>
): readonly string[] {
	const ids = new Set([...Object.keys(w.basedOn), ...Object.keys(standing)]);
	return [...ids].filter((id) => w.basedOn[id] !== standing[id]).sort();
}
