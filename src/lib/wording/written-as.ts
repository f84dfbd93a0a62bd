/**
 * How lengths, masses and days are written just now: as the practice set it. Asked anew for each word that is made: on the server it is that of the request, in a
 * browser that of the page. What is kept and computed is metric and ISO, whatever is written.
 */
import type { DateOrder } from '#lib/core/base/calendar-day.ts';

export type UnitSystem = 'metric' | 'imperial';

export interface WrittenAs {
	readonly units: UnitSystem;
	readonly dateOrder: DateOrder;
}

/** Where nobody said otherwise. */
export const AS_USUAL: WrittenAs = { units: 'metric', dateOrder: 'day-month' };

let now: () => WrittenAs = () => AS_USUAL;

/** Says where to ask from now on. */
export const writeAs = (asked: () => WrittenAs): void => void (now = asked);

export const written = (): WrittenAs => now();

/** What a practice's settings say, as far as they say something known. */
export const writtenAs = (units: string | undefined, dateOrder: string | undefined): WrittenAs => ({
	units: units === 'imperial' ? 'imperial' : 'metric',
	dateOrder: dateOrder === 'month-day' ? 'month-day' : 'day-month'
});
