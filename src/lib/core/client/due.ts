/** What is due with a client besides a slip: told by the calendar and by what nobody answered yet. */
import { addDays, daysBetween, type Day } from '../base/calendar-day.ts';

export const DUE = ['evening', 'week', 'morning', 'silent', 'link', 'retest', 'screening', 'limit'] as const;
export type Due = (typeof DUE)[number];

/** Sessions so many days back are asked for their next morning. @source practice-setting */
export const MORNINGS_BACK = 7;

/** Days of the last week's sessions whose next morning has come and was not told, oldest first. */
export function withoutMorning(
	sessions: readonly Day[],
	mornings: readonly Day[],
	today: Day
): readonly Day[] {
	const told = new Set(mornings);
	return [...new Set(sessions)]
		.filter((day) => {
			const ago = daysBetween(day, today);
			return ago >= 1 && ago <= MORNINGS_BACK && !told.has(addDays(day, 1));
		})
		.sort();
}

/** Evenings that are spoken of: of today and of yesterday, the day somebody can act on them. */
export const eveningsSpokenOf = <T extends { readonly moment: string; readonly date: Day }>(
	told: readonly T[],
	today: Day
): readonly T[] =>
	told.filter((x) => x.moment === 'evening' && x.date <= today && daysBetween(x.date, today) <= 1);

/** The link of a client's own page as far as somebody must look after it. */
export interface LinkKept {
	readonly day: Day;
	/** The last day it opens something. */
	readonly until: Day;
	readonly opened: boolean;
}

/** A link that nobody opened in so many days was perhaps never found. @source practice-setting */
export const UNOPENED_DAYS = 3;
/** So many days before its end another one is given. @source practice-setting */
export const LINK_SOON_DAYS = 7;

export type LinkDue = 'ended' | 'ends' | 'unopened';

export function linkDue({ day, until, opened }: LinkKept, today: Day): LinkDue | null {
	const left = daysBetween(today, until);
	if (left < 0) return 'ended';
	if (!opened && daysBetween(day, today) >= UNOPENED_DAYS) return 'unopened';
	return left < LINK_SOON_DAYS ? 'ends' : null;
}
