/** A movement at its tempo. */
import { describe, expect, it } from 'vitest';
import { BETWEEN, momentAt, partAt, type Tempo } from './tempo.ts';

const T: Tempo = [3, 1, 2];

describe('a tempo of 3-1-2', () => {
	it('is half way down after a second and a half, stays a second at the hard point, and is up after six', () => {
		expect([0, 1.5, 3, 3.9, 5, 6].map((s) => momentAt(s, T))).toEqual([0, 0.5, 1, 1, 0.5, 0]);
	});
	it('has four parts, and begins again', () => {
		expect([0, 2.99, 3, 3.99, 4, 5.99, 6, 6 + BETWEEN].map((s) => partAt(s, T))).toEqual([
			...['down', 'down', 'pause', 'pause', 'up', 'up', 'between', 'down']
		]);
		expect(momentAt(6 + BETWEEN + 1.5, T)).toBeCloseTo(0.5, 6);
	});
	it('without a way down or up it does not break', () => {
		for (const t of [
			[0, 2, 0],
			[0, 0, 0],
			[0, 0, 2]
		] as const)
			for (let s = 0; s < 5; s += 0.1) {
				expect(momentAt(s, t)).toBeGreaterThanOrEqual(0);
				expect(momentAt(s, t)).toBeLessThanOrEqual(1);
			}
	});
});
