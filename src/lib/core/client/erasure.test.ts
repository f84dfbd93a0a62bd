/**
 * When a record may be erased. That a health record is kept for years after the last work is law in many places, of different length; that a day of
 * 29 February is met on 1 March is the rule of the calendar used throughout. Common practice.
 */
import { describe, expect, it } from 'vitest';
import { eraseTrouble, yearsLater } from './erasure.ts';

describe('erasing', () => {
	it.each([
		['2018-03-12', '2026-03-12', undefined],
		['2018-03-13', '2026-03-12', { code: 'too-early', from: '2026-03-13' }],
		['2026-03-12', '2026-03-12', { code: 'too-early', from: '2034-03-12' }]
	])('last work %s, asked %s', (lastWork, today, trouble) => {
		expect(eraseTrouble('kept-long-enough', { lastWork, worked: 9 }, 8, today)).toEqual(trouble);
	});
	it('what nobody worked with goes at once, whatever the years', () => {
		const at = (worked: number) =>
			eraseTrouble('mistaken', { lastWork: '2026-03-12', worked }, 8, '2026-03-12');
		expect(at(0)).toBeUndefined();
		expect(at(1)).toEqual({ code: 'was-worked-with' });
	});
	it('years later is the same day, or the first of March', () => {
		expect(yearsLater('2024-02-29', 1)).toBe('2025-03-01');
		expect(yearsLater('2024-02-29', 4)).toBe('2028-02-29');
		expect(yearsLater('2026-12-31', 8)).toBe('2034-12-31');
	});
});
