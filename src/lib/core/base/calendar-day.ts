/**
 * Calendar days as `YYYY-MM-DD` text, so that no time zone can shift them. Arithmetic goes through a day number
 * (days since 1970-01-01, proleptic Gregorian), computed without any clock.
 */
export type Day = string;

/** Which of two typed numbers is the day: a practice's own way to write. */
export const DATE_ORDERS = ['day-month', 'month-day'] as const;
export type DateOrder = (typeof DATE_ORDERS)[number];

const DASH = 45;
const ZERO = 48;

/** The number written in `length` decimal digits from a place on; NaN where one of them is none. */
function digits(text: string, from: number, length: number): number {
	let n = 0;
	for (let i = from; i < from + length; i++) {
		const d = text.charCodeAt(i) - ZERO;
		if (!(d >= 0 && d <= 9)) return NaN;
		n = 10 * n + d;
	}
	return n;
}

const leap = (year: number): boolean => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
const monthDays = (year: number, month: number): number =>
	month === 2 ? (leap(year) ? 29 : 28) : month === 4 || month === 6 || month === 9 || month === 11 ? 30 : 31;

/** Day number of a calendar day; NaN when the text is not a real day (`2026-02-30`). Read without patterns: decisions ask it often. */
export function dayNumber(day: Day): number {
	if (day.length !== 10 || day.charCodeAt(4) !== DASH || day.charCodeAt(7) !== DASH) return NaN;
	const y = digits(day, 0, 4);
	const m = digits(day, 5, 2);
	const d = digits(day, 8, 2);
	return m >= 1 && m <= 12 && d >= 1 && d <= monthDays(y, m) ? civil(y, m, d) : NaN;
}

/** Days from civil date (Howard Hinnant's algorithm, public domain). */
function civil(year: number, month: number, day: number): number {
	const y = month <= 2 ? year - 1 : year;
	const era = Math.floor(y / 400);
	const yoe = y - era * 400;
	const doy = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
	const doe = yoe * 365 + Math.floor(yoe / 4) - Math.floor(yoe / 100) + doy;
	return era * 146097 + doe - 719468;
}

/** The calendar day of a day number. */
export function dayOf(n: number): Day {
	const z = n + 719468;
	const era = Math.floor(z / 146097);
	const doe = z - era * 146097;
	const yoe = Math.floor(
		(doe - Math.floor(doe / 1460) + Math.floor(doe / 36524) - Math.floor(doe / 146096)) / 365
	);
	const doy = doe - (365 * yoe + Math.floor(yoe / 4) - Math.floor(yoe / 100));
	const mp = Math.floor((5 * doy + 2) / 153);
	const d = doy - Math.floor((153 * mp + 2) / 5) + 1;
	const m = mp + (mp < 10 ? 3 : -9);
	const y = yoe + era * 400 + (m <= 2 ? 1 : 0);
	return `${String(y).padStart(4, '0')}-${String(m).padStart(2, '0')}-${String(d).padStart(2, '0')}`;
}

export const isDay = (text: string): boolean => !Number.isNaN(dayNumber(text));

/** `addDays('2026-02-28', 1)` is `'2026-03-01'`. */
export const addDays = (day: Day, days: number): Day => dayOf(dayNumber(day) + days);

/** Whole days from a to b; negative when b is earlier. */
export const daysBetween = (a: Day, b: Day): number => dayNumber(b) - dayNumber(a);

/** 0 = Sunday … 6 = Saturday. */
export const weekday = (day: Day): number => (((dayNumber(day) + 4) % 7) + 7) % 7;

/** Whole years lived by a day: the birthday itself counts; someone born on 29 February has theirs on 1 March in common years. */
export function ageOn(born: Day, day: Day): number {
	const years = Number(day.slice(0, 4)) - Number(born.slice(0, 4));
	return day.slice(5) < born.slice(5) ? years - 1 : years;
}
