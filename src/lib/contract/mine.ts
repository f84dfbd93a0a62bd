/** A client's own page: what it shows, and what it sends. Plain words only; nothing of other clients, no diagnosis, no flips. */
import { z } from 'zod';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { ArrivalInput } from '#lib/core/decision/arrival.ts';
import type { Figure } from '#lib/core/figure/shape.ts';
import { uuid } from './basics.ts';
import { KINDS, OUTBOX_CONTRACT, type Answered } from './mine-kept.ts';

/** An exercise or a warm-up as it is done, drawn in this client's own proportions, at their chair and step. */
export interface MineWork {
	/** Null of what warms up or cools down: it is done, and not logged. */
	readonly exerciseId: string | null;
	readonly prescriptionId: string | null;
	readonly title: string;
	readonly what: string;
	readonly cues: readonly string[];
	readonly cautions: readonly string[];
	/** Hold, tempo, band, set-up, in words. */
	readonly how: readonly string[];
	/** The practitioner's own words. */
	readonly note: string | null;
	readonly region: string | null;
	/** Both legs work at once and pain is asked of each: the other one. */
	readonly other: string | null;
	readonly mirror: boolean;
	readonly sides: number;
	readonly sets: number;
	readonly reps: number;
	readonly unit: 'reps' | 'sec' | 'steps' | 'breaths';
	readonly loadKg: number;
	readonly doseText: string;
	readonly lighter: boolean;
	/** Not today: a limit, a flag, the day itself. */
	readonly held: boolean;
	readonly tags: readonly string[];
	/** From the easy end to the hard point. */
	readonly frames: readonly Figure[];
	/** Seconds down, at the hard point, up. */
	readonly tempo: readonly [down: number, pause: number, up: number];
	readonly setSec: number;
	readonly restSec: number;
	/** What pain of 0 to 10 in it means now, by the same rules as a slip; empty of what is not logged. */
	readonly hurts: readonly { readonly answer: 'stop' | 'gentler' | 'go-on'; readonly text: string }[];
	/** What "too easy" would take. */
	readonly easy: string;
	readonly loggedToday: boolean;
	/** What bears the same number is done in turn, a set of each. */
	readonly turn: number;
}

export interface MineView {
	readonly clientId: string;
	readonly firstName: string;
	readonly practice: string;
	readonly language: string;
	readonly today: Day;
	readonly tz: string;
	/** The server's clock when this was made, ms. */
	readonly now: number;
	/** The demo stands still: its day is as many days from the clock's. */
	readonly dayShift: number;
	readonly emergency: string;
	readonly emergencyWords: string;
	/** As an arrival is judged: usual pain and the lines, by region. */
	readonly arrival: ArrivalInput['pains'];
	/** Answered already today. */
	readonly arrived: 'go' | 'lighter' | 'not-today' | null;
	readonly flag: string | null;
	readonly work: readonly MineWork[];
	/** By the signed week this is a day off; the next day with work. */
	readonly dayOff: boolean;
	readonly nextDay: Day | null;
	/** On a day off after a day off, what comes next may be done today. */
	readonly mayBring: boolean;
	readonly asNeeded: readonly MineWork[];
	readonly week: readonly {
		readonly weekday: number;
		readonly titles: readonly string[];
		readonly minutes: number;
	}[];
	readonly goals: readonly { readonly label: string; readonly score: number; readonly distance: string }[];
	readonly mornings: readonly { readonly day: Day; readonly region: string; readonly pain: number }[];
	readonly morningIn: boolean;
	readonly eveningIn: boolean;
}

const field = z.tuple([z.string().max(120), z.string().max(2000)]);
const item = z.strictObject({
	id: uuid,
	kind: z.enum(KINDS),
	contract: z.number().int().min(1).max(OUTBOX_CONTRACT),
	/** Whose it is: what was kept for one client is never sent as another's. */
	client: uuid,
	/** The fields of its form, as they were typed. */
	fields: z.array(field).max(600)
});
export const outboxForm = z.strictObject({ items: z.array(item).min(1).max(50) });
export type OutboxItem = z.infer<typeof item>;

/** What became of one: kept by the practice; parked with why, for its holder to settle. */
export type Sent =
	| { readonly id: string; readonly state: 'kept'; readonly said: Answered }
	| { readonly id: string; readonly state: 'parked'; readonly message: string };
