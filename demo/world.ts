/** What the made-up lives draw on. */
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import type { Context, Outcome } from '#lib/server/usecase/actor.ts';

/** What a life draws on: who acts, ids and chance from the seeds, and the days between which it runs. */
export interface World {
	readonly as: (key: 'physio' | 'trainer', today: Day) => Context;
	readonly id: (day: Day) => string;
	/** Ids from a second seed, so that adding to the intake leaves the rest of the demo as it is. */
	readonly intakeId: (day: Day) => string;
	/** Ids of what came later still: the receipts of mornings. */
	readonly lateId: (day: Day) => string;
	readonly random: () => number;
	readonly start: Day;
	readonly today: Day;
	readonly trainerId: string;
}

export function must<T>(outcome: Outcome<T>): T {
	if (!outcome.ok)
		throw new Error(`${outcome.refusal.why} ${outcome.refusal.field ?? ''}: ${outcome.refusal.message}`);
	return outcome.value;
}

export const at = (day: Day, hour: number): Date => new Date(dayNumber(day) * 86_400_000 + hour * 3_600_000);
