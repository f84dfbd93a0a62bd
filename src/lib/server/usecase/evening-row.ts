/** How an evening is written down, whether it was told at once or with the morning after: another telling corrects the first and keeps what it does not speak of. */
import { daysBetween, type Day } from '#lib/core/base/calendar-day.ts';
import type { ToldEvening } from '../repo/day-repo.ts';

/** From so many days on it is told from memory, a morning or an evening. */
export const RECALLED_DAYS = 3;

export interface EveningTold {
	readonly id: string;
	readonly clientId: string;
	readonly day: Day;
	readonly region: string;
	readonly pain: number;
	readonly soreness?: number | undefined;
}

/** @param before what was told of the same evening and region */
export const eveningRow = (
	{ id, clientId, day, region, pain, soreness }: EveningTold,
	today: Day,
	before: ToldEvening | undefined
) => ({
	...{ id, client_id: clientId, local_day: day, moment: 'evening', region, pain },
	soreness: soreness ?? before?.soreness ?? null,
	recalled: daysBetween(day, today) >= RECALLED_DAYS,
	...(before === undefined ? {} : { replaces_id: before.id, reason: 'corrected' })
});
