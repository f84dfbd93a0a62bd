/**
 * The first day after today on which the calendar alone may change what a record says. On the safe side: whatever happened in the last two months
 * may say something else tomorrow; older days only where a rule counts that long, ranges, screenings and the weeks of a protocol.
 */
import { addDays, isDay, type Day } from '#lib/core/base/calendar-day.ts';
import { LINK_SOON_DAYS } from '#lib/core/client/due.ts';
import type { ClientRecord } from './load.ts';

/** No rule but the named ones counts further back. Held by a test that moves the day. @source practice-setting */
const RECENT_DAYS = 60;
/** Today speaks of a screening a week before it is due. */
export const SCREEN_SOON_DAYS = 8;
const NEVER: Day = '9999-12-31';

/** Every day anywhere in a value. */
function* daysIn(value: unknown): Generator<Day> {
	if (typeof value === 'string') {
		if (isDay(value)) yield value;
	} else if (Array.isArray(value)) for (const v of value) yield* daysIn(v);
	else if (value !== null && typeof value === 'object')
		for (const v of Object.values(value)) yield* daysIn(v);
}

export function validUntil(r: ClientRecord, today: Day): Day {
	const tomorrow = addDays(today, 1);
	const recent = addDays(today, -RECENT_DAYS);
	const { born: _, openedOn: __, ...head } = r.head;
	let first = NEVER;
	const may = (day: Day): void => {
		if (day > today && day < first) first = day;
	};
	for (const day of daysIn([
		head,
		r.exercises,
		r.logs,
		r.tests,
		r.measurements,
		r.mornings,
		r.told,
		r.events
	])) {
		if (day >= recent && day <= today) return tomorrow;
		may(day);
		may(addDays(day, 1));
		may(addDays(day, RECENT_DAYS + 1));
		may(addDays(day, r.policy.rangeStaleDays + 1));
	}
	if (r.head.screening !== null)
		for (const by of [-SCREEN_SOON_DAYS, 1 - SCREEN_SOON_DAYS, 0, 1])
			may(addDays(r.head.screening.date, r.policy.screeningDays + by));
	if (r.head.link !== null) may(addDays(r.head.link.until, 1 - LINK_SOON_DAYS));
	for (const s of r.head.surgery)
		for (const { fromWeek, toWeek } of s.protocol?.phases ?? [])
			for (const week of [fromWeek, toWeek ?? fromWeek])
				for (const by of [0, 1]) may(addDays(s.date, 7 * week + by));
	return first;
}
