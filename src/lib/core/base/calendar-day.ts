/**
 * Calendar days as `YYYY-MM-DD` text, so that no time zone can shift them. Arithmetic goes through a day number
 * (days since 1970-01-01, proleptic Gregorian), computed without any clock.
 */
export type Day = string;

const FORM = /^(\d{4})-(\d{2})-(\d{2})$/;

/** Day number of a calendar day; NaN when the text is not a real day (`2026-02-30`). */
export function dayNumber(day: Day): number {
	const m = FORM.exec(day);
	if (!m) return NaN;
	const y = Number(m[1]);
	const mo = Number(m[2]);
	const d = Number(m[3]);
	const n = civil(y, mo, d);
	return mo >= 1 && mo <= 12 && d >= 1 && dayOf(n) === day ? n : NaN;
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
	const yoe = Math.floor((doe - Math.floor(doe / 1460) + Math.floor(doe / 36524) - Math.floor(doe / 146096)) / 365);
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
