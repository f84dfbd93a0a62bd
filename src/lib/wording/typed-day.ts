/**
 * A day as it is typed, strictly: "12 Mar 2026", "March 12", "12.3.2026", "12/3", "2026-03-12", "today", "yesterday". Of two numbers the day comes first, or
 * the month where the practice writes so; a year has four digits or is this one. What is no day that exists is not guessed at.
 */
import { addDays, type DateOrder, isDay, type Day } from '#lib/core/base/calendar-day.ts';
import { shortDay } from './days.ts';
import { written } from './written-as.ts';

const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'] as const;
const FULL = [
	'january',
	'february',
	'march',
	'april',
	'may',
	'june',
	'july',
	'august',
	'september',
	'october',
	'november',
	'december'
] as const;

const two = (n: number): string => String(n).padStart(2, '0');

function dayOf(year: string | undefined, month: number, date: string, today: Day): Day | undefined {
	const day = `${year ?? today.slice(0, 4)}-${two(month)}-${two(Number(date))}`;
	return month >= 1 && month <= 12 && isDay(day) ? day : undefined;
}

/** Undefined when it is no day. */
export function typedDay(text: string, today: Day, order: DateOrder = 'day-month'): Day | undefined {
	const t = text
		.trim()
		.toLowerCase()
		.replace(/^(sun|mon|tue|wed|thu|fri|sat)[a-z]*\.?,?\s+/, '');
	if (t === 'today') return today;
	if (t === 'yesterday') return addDays(today, -1);
	if (/^\d{4}-\d{2}-\d{2}$/.test(t)) return isDay(t) ? t : undefined;
	const numbers = /^(\d{1,2})[./-](\d{1,2})(?:[./-](\d{4}))?\.?$/.exec(t);
	if (numbers !== null) {
		const [, first, second, year] = numbers as unknown as [string, string, string, string | undefined];
		const [date, month] = order === 'day-month' ? [first, second] : [second, first];
		return dayOf(year, Number(month), date, today);
	}
	// "12 March 2026", and the other way round: a name is never mistaken for a day.
	const words =
		/^(\d{1,2})\.?\s+([a-z]+)\.?(?:,?\s+(\d{4}))?$/.exec(t) ??
		/^([a-z]+)\.?\s+(\d{1,2})(?:st|nd|rd|th)?(?:,?\s+(\d{4}))?$/.exec(t);
	if (words === null) return undefined;
	const [date, name] = (/^\d/.test(t) ? [words[1], words[2]] : [words[2], words[1]]) as [string, string];
	const at = MONTHS.findIndex((m, i) => m === name || FULL[i] === name || (m === 'sep' && name === 'sept'));
	return dayOf(words[3], at + 1, date, today);
}

/** `Thu 12 Mar 2026`, or `Thu Mar 12, 2026`. */
export const longDay = (day: Day): string =>
	`${shortDay(day)}${written().dateOrder === 'month-day' ? ',' : ''} ${day.slice(0, 4)}`;
