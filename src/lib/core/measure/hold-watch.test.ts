/** A watched hold: lost when the position is left and stays left, from the moment it was left. Common practice; the numbers are practice settings. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AWAY_DEG, AWAY_MS, heldSeconds, NOT_YET, SETTLES_MS, watched } from './hold-watch.ts';
import { upOf } from './tilt.ts';

const EVERY_MS = 50;
/** The watch after some seconds of a tilt that is a function of time. */
const after = (seconds: number, betaAt: (ms: number) => number) => {
	let w = NOT_YET;
	for (let t = 0; t <= seconds * 1000; t += EVERY_MS)
		w = watched(w, { tMs: t, up: upOf({ betaDeg: betaAt(t), gammaDeg: 0 }) });
	return w;
};

describe('a hold', () => {
	it('is held through a tremble, and through what happens before it settles', () => {
		expect(heldSeconds(after(60, (t) => 40 + 4 * Math.sin(t / 90)))).toBeUndefined();
		expect(heldSeconds(after(20, (t) => (t < SETTLES_MS ? t / 10 : 100)))).toBeUndefined();
	});
	it('is lost from the second it was left, and stays lost when one comes back', () => {
		const left = (t: number): number => (t >= 12_300 && t < 14_000 ? 20 : 40);
		expect(after(12, left).lostAt).toBeNull();
		expect([heldSeconds(after(13, left)), heldSeconds(after(30, left))]).toEqual([12, 12]);
	});
	it('is not lost for a moment, nor for a little: the boundaries are', () => {
		const away = (deg: number, ms: number) =>
			after(10, (t) => (t >= 5000 && t <= 5000 + ms ? 40 + deg : 40)).lostAt;
		expect([away(30, AWAY_MS - EVERY_MS), away(30, AWAY_MS)]).toEqual([null, 5000]);
		expect([away(AWAY_DEG - 0.5, 4000), away(AWAY_DEG + 0.5, 4000)]).toEqual([null, 5000]);
	});
	it('coming back for one reading begins anew: two moments are no movement', () => {
		expect(after(10, (t) => (t >= 5000 && t <= 5900 && t !== 5450 ? 70 : 40)).lostAt).toBeNull();
	});
	it('is lost at the same time whichever way it turns', () => {
		fc.assert(
			fc.property(fc.integer({ min: -80, max: 80 }), fc.integer({ min: 11, max: 90 }), (start, by) => {
				for (const sign of [1, -1])
					expect(after(9, (t) => (t < 6000 ? start : start + sign * by)).lostAt).toBe(6000);
			}),
			{ numRuns: 30 }
		);
	});
});
