/** Days as people type them. */
import { describe, expect, it } from 'vitest';
import { longDay, typedDay } from './typed-day.ts';

const TODAY = '2026-03-12';
const read = (text: string) => typedDay(text, TODAY);

describe('a day as it is typed', () => {
	it('is read in words, numbers, the short way and the written way back', () => {
		for (const text of [
			'12 Mar 2026',
			'12 march 2026',
			'12. March',
			'12 mar',
			'12.3.2026',
			'12/3/2026',
			'12/3',
			'12-03-2026',
			' 2026-03-12 ',
			'Thu 12 Mar 2026',
			'Thursday, 12 March 2026',
			'TODAY',
			longDay(TODAY)
		])
			expect(read(text), text).toBe('2026-03-12');
		expect(read('yesterday')).toBe('2026-03-11');
		expect(read('1 Sept')).toBe('2026-09-01');
		expect(read('29/2/2024')).toBe('2024-02-29');
	});
	it('is never guessed at: no such day, two digits of a year, the month first', () => {
		for (const text of [
			'',
			'soon',
			'30/2/2026',
			'29/2/2026',
			'31 Apr',
			'0/3',
			'12/13/2026',
			'3/12/26',
			'12 Ma 2026',
			'12',
			'2026-3-12',
			'2026-02-30',
			'12 Mar 26',
			'99 Mar'
		])
			expect(read(text), text).toBeUndefined();
		// Day first, as it is said here.
		expect(read('3/12/2026')).toBe('2026-12-03');
	});
	it('has the month first where the practice writes so, in numbers only', () => {
		const there = (text: string) => typedDay(text, TODAY, 'month-day');
		expect(
			['3/12/2026', '3.12', 'March 12', 'mar 12th, 2026', '12 Mar 2026', '2026-03-12'].map(there)
		).toEqual(Array.from({ length: 6 }, () => '2026-03-12'));
		expect(there('13/3/2026')).toBeUndefined();
		expect(read('Mar 12 2026')).toBe('2026-03-12');
		expect(read('Mar 32')).toBeUndefined();
	});
});
