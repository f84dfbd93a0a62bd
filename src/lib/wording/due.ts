/** What is due, in words: on a client's row, and how many of it there are. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Due, LinkDue } from '#lib/core/client/due.ts';
import { shortDay } from './days.ts';

export const LINK_DUE: Readonly<
	Record<LinkDue, (link: { readonly day: Day; readonly until: Day }) => string>
> = {
	ended: ({ until }) => `link to their page ended ${shortDay(until)}`,
	ends: ({ until }) => `link to their page ends ${shortDay(until)}`,
	unopened: ({ day }) => `link given ${shortDay(day)}, not opened yet`
};

export const morningsMissing = (days: readonly Day[]): string =>
	days.length === 1
		? `no morning told after ${shortDay(days[0] as Day)}`
		: `no morning told after ${days.length} sessions of the last week`;

/** What is counted, for one and for several. */
export const DUE_COUNT: Readonly<Record<Due, readonly [one: string, many: string]>> = {
	evening: ['sore evening', 'sore evenings'],
	week: ['week to sign', 'weeks to sign'],
	morning: ['morning missing', 'mornings missing'],
	silent: ['silent', 'silent'],
	link: ['link to look after', 'links to look after'],
	retest: ['retest', 'retests'],
	screening: ['screening due', 'screenings due'],
	limit: ['limit to review', 'limits to review']
};
