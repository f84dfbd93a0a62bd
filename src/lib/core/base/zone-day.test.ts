/**
 * Days by zone. Facts of the zone database (IANA tz): London's clocks went to 02:00 at 01:00 UTC on 29 March 2026 and back at 01:00 UTC on 25 October
 * 2026; Sydney is ten hours ahead in June; Lord Howe Island moves by half an hour; Kiritimati is fourteen hours ahead. That the day of a record
 * begins at 03:00 is the design's own rule.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, daysBetween } from './calendar-day.ts';
import { calendarDay, CLOCK_OFF_MS, clockOff, recordDay, wallClock } from './zone-day.ts';

const at = (iso: string): Date => new Date(iso);

describe('the day where somebody lives', () => {
	it.each([
		['Europe/London', '2026-01-15T02:59:59Z', '2026-01-14', '2026-01-15'],
		['Europe/London', '2026-01-15T03:00:00Z', '2026-01-15', '2026-01-15'],
		['Europe/London', '2026-01-15T23:59:59Z', '2026-01-15', '2026-01-15'],
		// Summer: 03:00 on the wall is 02:00 UTC.
		['Europe/London', '2026-06-15T01:59:59Z', '2026-06-14', '2026-06-15'],
		['Europe/London', '2026-06-15T02:00:00Z', '2026-06-15', '2026-06-15'],
		// The night clocks go forward there is no 01:30; 00:59 is followed by 02:00.
		['Europe/London', '2026-03-29T00:59:00Z', '2026-03-28', '2026-03-29'],
		['Europe/London', '2026-03-29T01:59:00Z', '2026-03-28', '2026-03-29'],
		['Europe/London', '2026-03-29T02:00:00Z', '2026-03-29', '2026-03-29'],
		// The night they go back 01:30 comes twice, and both belong to the evening before.
		['Europe/London', '2026-10-25T00:30:00Z', '2026-10-24', '2026-10-25'],
		['Europe/London', '2026-10-25T01:30:00Z', '2026-10-24', '2026-10-25'],
		['Europe/London', '2026-10-25T03:00:00Z', '2026-10-25', '2026-10-25'],
		['Australia/Sydney', '2026-06-14T17:00:00Z', '2026-06-15', '2026-06-15'],
		['Australia/Sydney', '2026-06-14T16:59:00Z', '2026-06-14', '2026-06-15'],
		['Pacific/Kiritimati', '2026-12-31T13:00:00Z', '2027-01-01', '2027-01-01'],
		['UTC', '2026-03-01T02:00:00Z', '2026-02-28', '2026-03-01']
	])('%s at %s: record %s, calendar %s', (tz, iso, record, calendar) => {
		expect(recordDay(tz, at(iso))).toBe(record);
		expect(calendarDay(tz, at(iso))).toBe(calendar);
	});

	it('midnight is the hour 0, not 24', () => {
		expect(wallClock('Europe/London', at('2026-01-15T00:00:00Z'))).toEqual({
			day: '2026-01-15',
			hour: 0,
			minute: 0
		});
		// Half an hour, not a whole one, is what Lord Howe moves by.
		expect(wallClock('Australia/Lord_Howe', at('2026-06-15T00:00:00Z')).minute).toBe(30);
		expect(wallClock('Australia/Lord_Howe', at('2026-01-15T00:00:00Z')).minute).toBe(0);
	});

	it('never goes back as time goes on, and never skips a day', () => {
		const zones = ['Europe/London', 'America/New_York', 'Australia/Lord_Howe', 'Asia/Kathmandu', 'UTC'];
		fc.assert(
			fc.property(
				fc.constantFrom(...zones),
				fc.date({ min: at('2024-01-01T00:00:00Z'), max: at('2030-01-01T00:00:00Z'), noInvalidDate: true }),
				fc.integer({ min: 1, max: 24 * 60 }),
				(tz, from, minutes) => {
					const step = daysBetween(recordDay(tz, from), recordDay(tz, new Date(+from + minutes * 60_000)));
					expect(step === 0 || step === 1).toBe(true);
				}
			)
		);
	});

	it('the other side of the world is at most a day away', () => {
		const now = at('2026-11-28T12:00:00Z');
		expect(recordDay('Pacific/Kiritimati', now)).toBe(addDays(recordDay('Pacific/Pago_Pago', now), 1));
	});

	it('an unknown zone is an error, not some day', () => {
		expect(() => recordDay('Nowhere/Else', at('2026-01-01T00:00:00Z'))).toThrow(RangeError);
	});
});

describe('a clock that is off', () => {
	it.each([
		[CLOCK_OFF_MS, undefined],
		[-CLOCK_OFF_MS, undefined],
		[CLOCK_OFF_MS + 1, CLOCK_OFF_MS + 1],
		[-24 * 3_600_000, -24 * 3_600_000]
	])('by %i ms', (off, said) => {
		expect(clockOff(1_000_000_000_000 + off, 1_000_000_000_000)).toBe(said);
	});
});
