/** How a prescribed height is met at home: a higher seat and a lower step ask less. Common practice. */
import { describe, expect, it } from 'vitest';
import { homeSeat, homeStep } from './furniture.ts';

const home = { seats: [43, 47.5, 52], steps: [12, 18] };

describe('at home', () => {
	it.each([
		[47.5, 47.5, true, 0],
		[47.6, 52, true, 4.4],
		[44, 47.5, true, 3.5],
		[52.1, 52, false, 0.1],
		[20, 43, true, 23]
	])('a seat of %s: %s, serves %s, by %s', (asked, cm, serves, by) => {
		expect(homeSeat(asked, home)).toEqual({ cm, serves, by });
	});
	it.each([
		[18, 18, true, 0],
		[17.9, 12, true, 5.9],
		[11.9, 12, false, 0.1],
		[30, 18, true, 12]
	])('a step of %s: %s, serves %s, by %s', (asked, cm, serves, by) => {
		expect(homeStep(asked, home)).toEqual({ cm, serves, by });
	});
	it('says nothing where nothing was measured', () => {
		expect(homeSeat(45, { seats: [], steps: [18] })).toBeUndefined();
		expect(homeStep(15, { seats: [45], steps: [] })).toBeUndefined();
	});
});
