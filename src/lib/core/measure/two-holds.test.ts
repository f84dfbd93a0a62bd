/** A range by two holds: against tilts worked by hand. Common practice; the numbers are practice settings. */
import { describe, expect, it } from 'vitest';
import { LEAST_APART_DEG, nextHold, NO_HOLD, readHolds, type TwoHolds } from './two-holds.ts';
import { upOf } from './tilt.ts';

const EVERY_MS = 50;
/** After some seconds of a tilt that is a function of time, tremble and all. */
function after(seconds: number, betaAt: (sec: number) => number, tremble = 0.4): TwoHolds {
	let t = NO_HOLD;
	for (let ms = 0; ms <= seconds * 1000; ms += EVERY_MS)
		t = nextHold(t, {
			tMs: ms,
			up: upOf({ betaDeg: betaAt(ms / 1000) + tremble * Math.sin(ms / 70), gammaDeg: 0 })
		});
	return t;
}
/** Still at 90° (upright) to 2 s, down to another tilt by 5 s, still there. */
const to = (end: number) => (sec: number) =>
	sec < 2 ? 90 : sec > 5 ? end : 90 + ((end - 90) * (sec - 2)) / 3;

describe('two holds', () => {
	it('by hand: a shin from upright to 35° forward; a leg raised from lying to 70°', () => {
		const shin = readHolds(after(8, to(55)))!;
		expect([shin.startDeg, shin.endDeg, shin.apartDeg].map((d) => Math.round(d))).toEqual([0, 35, 35]);
		const leg = readHolds(after(8, (s) => (s < 2 ? 0 : s > 5 ? 70 : (70 * (s - 2)) / 3)))!;
		expect([leg.startDeg, leg.endDeg, leg.apartDeg].map((d) => Math.round(d))).toEqual([90, 20, 70]);
	});
	it('nothing is read while it moves, or of one hold alone', () => {
		expect(readHolds(after(4.5, to(30)))).toBeUndefined();
		expect(readHolds(after(60, () => 90))).toBeUndefined();
		expect(after(12, (s) => 90 - 5 * s, 0).start).toBeUndefined();
		// Slowly, two degrees a second: still enough for a second, and not read on the way.
		expect(readHolds(after(20, (s) => (s < 2 ? 90 : 90 - 2 * (s - 2)), 0))).toBeUndefined();
		expect(
			readHolds(after(25, (s) => (s < 2 ? 90 : Math.max(60, 90 - 2 * (s - 2))), 0))?.apartDeg
		).toBeCloseTo(30, 1);
	});
	it('two holds are apart, or it is the first one still: the boundary is', () => {
		expect(readHolds(after(9, to(90 - LEAST_APART_DEG + 0.5), 0))).toBeUndefined();
		expect(readHolds(after(9, to(90 - LEAST_APART_DEG - 0.5), 0))?.apartDeg).toBeCloseTo(5.5, 6);
	});
	it('once read it stays, whatever is done with the phone then', () => {
		const first = after(8, to(55), 0);
		const later = nextHold(first, { tMs: 9000, up: upOf({ betaDeg: 0, gammaDeg: 0 }) });
		expect(later).toBe(first);
	});
});
