/**
 * A signed week as iCalendar (RFC 5545): one whole-day event for each day with work, coming again each week. A day has no hour, so that no time zone can move it;
 * signed anew it takes the place of the old one, for its events keep their names.
 */
import ical, { ICalCalendarMethod, ICalEventRepeatingFreq, ICalWeekday } from 'ical-generator';
import { addDays, weekday, type Day } from '#lib/core/base/calendar-day.ts';

export interface CalendarAsked {
	/** Names the events: the client, so that another week of theirs replaces this one. */
	readonly id: string;
	readonly title: string;
	readonly practice: string;
	/** The first day it holds. */
	readonly from: Day;
	/** 0 is Sunday. */
	readonly days: readonly {
		readonly weekday: number;
		readonly titles: readonly string[];
		readonly minutes: number;
	}[];
	/** When it was signed. */
	readonly stamp: Date;
	readonly minutesText: (minutes: number) => string;
}

const BY_DAY = [
	ICalWeekday.SU,
	ICalWeekday.MO,
	ICalWeekday.TU,
	ICalWeekday.WE,
	ICalWeekday.TH,
	ICalWeekday.FR,
	ICalWeekday.SA
] as const;

/** The first day of a weekday from a day on, that day included. */
const firstOf = (from: Day, wanted: number): Day => addDays(from, (wanted - weekday(from) + 7) % 7);

/** A whole day is written as the library sees it in UTC, wherever this process stands. */
const midnight = (day: Day): Date => new Date(`${day}T00:00:00Z`);

export function weekCalendar({ id, title, practice, from, days, stamp, minutesText }: CalendarAsked): string {
	const calendar = ical({
		name: title,
		prodId: { company: 'Bolster', product: 'week' },
		method: ICalCalendarMethod.PUBLISH
	});
	for (const d of days.filter((x) => x.titles.length > 0))
		calendar.createEvent({
			id: `${id}-${d.weekday}@bolster`,
			stamp,
			start: midnight(firstOf(from, d.weekday)),
			allDay: true,
			summary: `${title}, ${minutesText(d.minutes)}`,
			description: `${d.titles.join('\n')}\n\n${practice}`,
			repeating: { freq: ICalEventRepeatingFreq.WEEKLY, byDay: [BY_DAY[d.weekday] ?? ICalWeekday.MO] }
		});
	return calendar.toString();
}
