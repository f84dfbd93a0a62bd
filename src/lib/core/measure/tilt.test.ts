/** Angles from a phone's orientation, against rotations worked by hand and a rotation matrix multiplied out in full. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stillAt, turnedDeg, upOf, type Direction, type Held, type Orientation } from './tilt.ts';

const at = (betaDeg: number, gammaDeg: number): Orientation => ({ betaDeg, gammaDeg });

/** Z(alpha) X(beta) Y(gamma) multiplied out, and the world's up brought into the device's frame by its transpose. */
function upByMatrix(alpha: number, beta: number, gamma: number): Direction {
	const d = Math.PI / 180;
	const [ca, sa, cb, sb, cg, sg] = [alpha, beta, gamma].flatMap((x) => [
		Math.cos(x * d),
		Math.sin(x * d)
	]) as [...[number, number, number, number, number, number]];
	const z = [ca, -sa, 0, sa, ca, 0, 0, 0, 1];
	const x = [1, 0, 0, 0, cb, -sb, 0, sb, cb];
	const y = [cg, 0, sg, 0, 1, 0, -sg, 0, cg];
	const times = (m: number[], n: number[]): number[] =>
		Array.from({ length: 9 }, (_, i) =>
			[0, 1, 2].reduce((s, k) => s + m[3 * Math.floor(i / 3) + k]! * n[3 * k + (i % 3)]!, 0)
		);
	const r = times(times(z, x), y);
	return [r[6]!, r[7]!, r[8]!];
}

describe('where up is', () => {
	it('by hand: flat on a table out of the screen; upright to its top; on its right side to its left', () => {
		const near = (d: Direction, to: Direction): void => d.forEach((v, i) => expect(v).toBeCloseTo(to[i]!, 9));
		near(upOf(at(0, 0)), [0, 0, 1]);
		near(upOf(at(90, 0)), [0, 1, 0]);
		near(upOf(at(0, 90)), [-1, 0, 0]);
		near(upOf(at(-90, 0)), [0, -1, 0]);
		near(upOf(at(180, 0)), [0, 0, -1]);
	});
	it('is the third row of the whole rotation, whatever the compass says', () => {
		fc.assert(
			fc.property(
				fc.tuple(
					fc.double({ min: 0, max: 360, noNaN: true }),
					fc.double({ min: -180, max: 180, noNaN: true }),
					fc.double({ min: -90, max: 90, noNaN: true })
				),
				([alpha, beta, gamma]) => {
					const whole = upByMatrix(alpha, beta, gamma);
					upOf(at(beta, gamma)).forEach((v, i) => expect(v).toBeCloseTo(whole[i]!, 9));
				}
			)
		);
	});
});

describe('how far it turned', () => {
	it('by hand: a shin from upright to 30° forward, a trunk bowed 85°, a straight leg raised 70° past the upright phone', () => {
		expect(turnedDeg(upOf(at(90, 0)), upOf(at(60, 0)))).toBeCloseTo(30, 9);
		expect(turnedDeg(upOf(at(90, 0)), upOf(at(5, 0)))).toBeCloseTo(85, 9);
		// Beyond the upright the screen looks down: beta goes on past 90°.
		expect(turnedDeg(upOf(at(20, 0)), upOf(at(90 + 40, 0)))).toBeCloseTo(110, 9);
		expect(turnedDeg(upOf(at(0, 10)), upOf(at(0, -35)))).toBeCloseTo(45, 9);
		expect(turnedDeg(upOf(at(12, 3)), upOf(at(12, 3)))).toBeCloseTo(0, 9);
	});
	it('is the same both ways, and as exact for a hundredth of a degree as for ninety', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.01, max: 170, noNaN: true }),
				fc.double({ min: -89, max: 89, noNaN: true }),
				(by, from) => {
					const [a, b] = [upOf(at(from, 0)), upOf(at(from + by, 0))];
					expect(turnedDeg(a, b)).toBeCloseTo(by, 6);
					expect(turnedDeg(b, a)).toBeCloseTo(by, 6);
				}
			)
		);
	});
});

describe('still', () => {
	const held = (degrees: readonly number[], everyMs: number): Held[] =>
		degrees.map((beta, i) => ({ tMs: i * everyMs, up: upOf(at(beta, 0)) }));
	it('for a second is read as its mean; shorter, or moving, is not read', () => {
		const still = stillAt(
			held(
				Array.from({ length: 21 }, (_, i) => 45 + (i % 2)),
				50
			)
		);
		expect(turnedDeg(still!, upOf(at(45.5, 0)))).toBeLessThan(0.1);
		expect(
			stillAt(
				held(
					Array.from({ length: 19 }, () => 45),
					50
				)
			)
		).toBeUndefined();
		expect(
			stillAt(
				held(
					Array.from({ length: 21 }, (_, i) => 45 + i * 0.5),
					50
				)
			)
		).toBeUndefined();
		expect(stillAt([])).toBeUndefined();
		// What moved before the last second does not count.
		expect(stillAt(held([0, 10, 20, 30, 40, ...Array.from({ length: 21 }, () => 45)], 50))).toBeDefined();
	});
});
