/**
 * Which calendar day an instant falls on where somebody lives. Work done after midnight belongs to the evening it is the end of: the day of the
 * record begins at 03:00 by the clock on that wall. Wall clocks come from the zone database of the machine, so summer time is theirs.
 */
import { addDays, type Day } from './calendar-day.ts';

/** The hour by the wall clock at which the day of the record begins. */
export const DAY_BEGINS = 3;

export interface WallClock {
	readonly day: Day;
	/** 0…23. */
	readonly hour: number;
	readonly minute: number;
}

const formats = new Map<string, Intl.DateTimeFormat>();

function formatOf(tz: string): Intl.DateTimeFormat {
	let format = formats.get(tz);
	if (format === undefined) {
		format = new Intl.DateTimeFormat('en-CA', {
			timeZone: tz,
			year: 'numeric',
			month: '2-digit',
			day: '2-digit',
			hour: '2-digit',
			minute: '2-digit',
			hourCycle: 'h23'
		});
		formats.set(tz, format);
	}
	return format;
}

/** What the clock on the wall says in a zone of the zone database. Throws RangeError for an unknown zone. */
export function wallClock(tz: string, at: Date): WallClock {
	const part = Object.fromEntries(
		formatOf(tz)
			.formatToParts(at)
			.map((p) => [p.type, p.value])
	);
	return {
		day: `${part.year}-${part.month}-${part.day}`,
		hour: Number(part.hour),
		minute: Number(part.minute)
	};
}

/** The calendar day, which turns at midnight: a licence ends with it. */
export const calendarDay = (tz: string, at: Date): Day => wallClock(tz, at).day;

/** The day of the record, which turns at 03:00: a session begun before belongs to the day before, and no morning has come yet. */
export function recordDay(tz: string, at: Date): Day {
	const { day, hour } = wallClock(tz, at);
	return hour < DAY_BEGINS ? addDays(day, -1) : day;
}

/** A clock that is off by more than this is said: days and nights would be mistaken. */
export const CLOCK_OFF_MS = 3_600_000;

/** By how much a device's clock is off, ms, where that is worth saying; positive is ahead. */
export function clockOff(device: number, here: number): number | undefined {
	const off = device - here;
	return Math.abs(off) > CLOCK_OFF_MS ? off : undefined;
}
