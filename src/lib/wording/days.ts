/** Calendar days in words, English, without any clock or time zone. */
import { written } from './written-as.ts';
import { dayNumber, daysBetween, weekday, type Day } from '#lib/core/base/calendar-day.ts';

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;
const FULL = ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'] as const;
const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'] as const;

/** `Thu 12 Mar`, or `Thu Mar 12` where the month comes first. */
export function shortDay(day: Day): string {
	if (Number.isNaN(dayNumber(day))) return day;
	const date = Number(day.slice(8));
	const month = MONTHS[Number(day.slice(5, 7)) - 1];
	return `${WEEKDAYS[weekday(day)]} ${written().dateOrder === 'month-day' ? `${month} ${date}` : `${date} ${month}`}`;
}

/** `this morning`, `yesterday`, `on Wednesday`, `on Thu 12 Mar`. */
export function whenMorning(day: Day, today: Day): string {
	const ago = daysBetween(day, today);
	if (ago === 0) return 'this morning';
	if (ago === 1) return 'yesterday morning';
	if (ago > 1 && ago < 7) return `on ${FULL[weekday(day)]} morning`;
	return `on the morning of ${shortDay(day)}`;
}

export function whenDay(day: Day, today: Day): string {
	const ago = daysBetween(day, today);
	if (ago === 0) return 'today';
	if (ago === 1) return 'yesterday';
	if (ago > 1 && ago < 7) return `on ${FULL[weekday(day)]}`;
	return `on ${shortDay(day)}`;
}

/** `8 days ago`. */
export function ago(day: Day, today: Day): string {
	const n = daysBetween(day, today);
	return n <= 0 ? 'today' : n === 1 ? 'yesterday' : `${n} days ago`;
}
