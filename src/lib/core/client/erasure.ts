/**
 * When a client's record may be erased: once it was kept as long as the practice must keep it, counted from the last work on it; or at once where nothing
 * was ever done with it, registered by mistake. Never before: whoever asks for it earlier is told the day.
 */
import { daysBetween, isDay, type Day } from '../base/calendar-day.ts';

export const ERASE_BECAUSE = ['kept-long-enough', 'mistaken'] as const;
export type EraseBecause = (typeof ERASE_BECAUSE)[number];

export interface RecordKept {
	/** The last day on which anything was done or written; the day it was opened where nothing was. */
	readonly lastWork: Day;
	/** Sessions logged and decisions signed, with those that were taken out. */
	readonly worked: number;
}

export type EraseTrouble =
	{ readonly code: 'too-early'; readonly from: Day } | { readonly code: 'was-worked-with' };

/** The same day some years on; 29 February becomes 1 March where there is none. */
export function yearsLater(day: Day, years: number): Day {
	const year = String(Number(day.slice(0, 4)) + years).padStart(4, '0');
	const same = `${year}${day.slice(4)}`;
	return isDay(same) ? same : `${year}-03-01`;
}

/** What stands in the way of erasing today; undefined where nothing does. */
export function eraseTrouble(
	because: EraseBecause,
	{ lastWork, worked }: RecordKept,
	years: number,
	today: Day
): EraseTrouble | undefined {
	if (because === 'mistaken') return worked > 0 ? { code: 'was-worked-with' } : undefined;
	const from = yearsLater(lastWork, years);
	return daysBetween(today, from) > 0 ? { code: 'too-early', from } : undefined;
}
