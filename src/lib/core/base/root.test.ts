/** Roots: against numbers everybody knows, and what holds for any bracket. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rootIn, rootNear } from './root.ts';

describe('a root inside a bracket', () => {
	it.each([
		['the square root of two', (x: number) => x * x - 2, 0, 2, Math.SQRT2],
		['half a turn, as the zero of the sine', Math.sin, 3, 4, Math.PI],
		['Newton’s cubic x³ − 2x − 5 (Wallis 1685)', (x: number) => x ** 3 - 2 * x - 5, 2, 3, 2.0945514815423265],
		['the number that is its own cosine', (x: number) => Math.cos(x) - x, 0, 1, 0.7390851332151607]
	])('%s', (_, f, low, high, root) => {
		expect(rootIn(f, low, high)).toEqual({ x: expect.closeTo(root, 9), found: true });
		expect(rootNear(f, low + 0.3 * (high - low), low, high, 1e-10).x).toBeCloseTo(root, 8);
	});
	it('a root at an end is answered as it is', () => {
		expect(rootIn((x) => x - 1, 1, 5)).toEqual({ x: 1, found: true });
		expect(rootIn((x) => x - 5, 1, 5)).toEqual({ x: 5, found: true });
	});
	it('without a change of sign it says so, and answers the end nearer to zero', () => {
		expect(rootIn((x) => x * x + 1, -1, 3)).toEqual({ x: -1, found: false });
		expect(rootIn((x) => x - 9, 0, 4)).toEqual({ x: 4, found: false });
		expect(rootNear((x) => x - 9, 2, 0, 4)).toEqual({ x: 4, found: false });
		expect(rootIn(() => NaN, 0, 1).found).toBe(false);
	});
	it('never leaves the bracket, and the function changes sign where it answers', () => {
		fc.assert(
			fc.property(
				fc.double({ min: -50, max: 50, noNaN: true }),
				fc.double({ min: 0.05, max: 8, noNaN: true }),
				fc.integer({ min: 0, max: 2 }),
				(at, steep, shape) => {
					const f = [
						(x: number) => Math.tanh(steep * (x - at)),
						(x: number) => (x - at) ** 3,
						(x: number) => Math.expm1(steep * Math.min(20, x - at))
					][shape] as (x: number) => number;
					const seen: number[] = [];
					const { x, found } = rootIn((v) => (seen.push(v), f(v)), -60, 60, 1e-9);
					expect(found).toBe(true);
					expect(seen.every((v) => v >= -60 && v <= 60)).toBe(true);
					expect(Math.abs(x - at)).toBeLessThan(shape === 1 ? 1e-3 : 1e-6);
				}
			),
			{ seed: 41, numRuns: 400 }
		);
	});
	it('a guess from a neighbouring problem finds the same root, wherever it stands', () => {
		fc.assert(
			fc.property(
				fc.double({ min: -0.9, max: 0.9, noNaN: true }),
				fc.double({ min: -1.4, max: 1.4, noNaN: true }),
				(c, guess) => {
					const f = (x: number): number => Math.sin(x) - c;
					expect(rootNear(f, guess, -1.5, 1.5, 1e-9).x).toBeCloseTo(Math.asin(c), 6);
				}
			),
			{ seed: 42, numRuns: 400 }
		);
	});
});
