/** The hours of a reminder. */
import { expect, it } from 'vitest';
import { isQuiet, nudgeAt } from './nudge.ts';

const HOURS = Array.from({ length: 24 }, (_, h) => h);

it('quiet hours go over midnight, end before their last, and are none where they begin where they end', () => {
	expect(HOURS.filter((h) => isQuiet(h, 20, 9))).toEqual([0, 1, 2, 3, 4, 5, 6, 7, 8, 20, 21, 22, 23]);
	expect(HOURS.filter((h) => isQuiet(h, 12, 14))).toEqual([12, 13]);
	expect(HOURS.filter((h) => isQuiet(h, 9, 9))).toEqual([]);
});

it('a reminder comes by day, when the morning has had its time, and not in quiet hours', () => {
	expect(HOURS.filter((h) => nudgeAt(h, { from: 20, to: 9 }))).toEqual([10, 11, 12, 13, 14, 15]);
	expect(HOURS.filter((h) => nudgeAt(h, { from: 12, to: 14 }))).toEqual([10, 11, 14, 15]);
	expect(HOURS.filter((h) => nudgeAt(h, { from: 9, to: 17 }))).toEqual([]);
});
