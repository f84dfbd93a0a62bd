/** The ground floor: hashes against published vectors, canonical text, medians and quantiles, seeded chance. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { canonical } from './canonical.ts';
import { hash32, seeded } from './random.ts';
import { median, quantile } from './statistics.ts';
import { tableOf } from './table.ts';

describe('FNV-1a, 32 bit (test vectors of the IETF draft by Fowler, Noll, Vo)', () => {
	it('matches the published values', () => {
		expect([hash32(''), hash32('a'), hash32('b'), hash32('foobar')].map((n) => n.toString(16))).toEqual([
			'811c9dc5',
			'e40c292c',
			'e70c2de5',
			'bf9cf968'
		]);
	});
});

describe('canonical text', () => {
	it('does not depend on the order of keys, drops what is absent, keeps the order of lists', () => {
		expect(canonical({ b: 1, a: [2, { d: undefined, c: null }] })).toBe('{"a":[2,{"c":null}],"b":1}');
		expect(canonical({ a: 1, b: undefined })).toBe(canonical({ a: 1 }));
		expect(canonical([1, 2])).not.toBe(canonical([2, 1]));
	});
	it('parses back to the same value, and equal values give equal text', () => {
		fc.assert(
			fc.property(fc.jsonValue(), (v) => {
				const back = JSON.parse(canonical(v)) as unknown;
				expect(canonical(back)).toBe(canonical(v));
				expect(back).toEqual(JSON.parse(JSON.stringify(v)));
			}),
			{ seed: 31, numRuns: 500 }
		);
	});
});

describe('order statistics', () => {
	it('median keeps the half, of nothing is nothing', () => {
		expect([median([]), median([3]), median([3, 1]), median([5, 1, 3])]).toEqual([undefined, 3, 2, 3]);
	});
	it('quantiles of 1 to 5 by linear interpolation (Hyndman & Fan 1996, type 7; from memory)', () => {
		expect([0, 0.1, 0.25, 0.5, 0.9, 1].map((q) => quantile([1, 2, 3, 4, 5], q))).toEqual([
			1, 1.4, 2, 3, 4.6, 5
		]);
	});
	it('a median lies between the ends and does not depend on order', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 0, max: 10 }), { minLength: 1, maxLength: 30 }), (xs) => {
				const m = median(xs) as number;
				expect(m).toBeGreaterThanOrEqual(Math.min(...xs));
				expect(m).toBeLessThanOrEqual(Math.max(...xs));
				expect(median([...xs].reverse())).toBe(m);
				expect(xs.filter((x) => x < m).length).toBeLessThanOrEqual(xs.length / 2);
			}),
			{ seed: 37, numRuns: 500 }
		);
	});
});

describe('a table', () => {
	it('finds its own keys and no other', () => {
		const t = tableOf([
			['squat', 1],
			['__proto__', 2]
		]);
		expect([t.squat, t.__proto__, t.constructor, t.toString, t.hinge]).toEqual([
			1,
			2,
			undefined,
			undefined,
			undefined
		]);
		expect(Object.keys(t)).toEqual(['squat', '__proto__']);
	});
});

describe('seeded chance', () => {
	it('repeats for a seed, differs between seeds, and is about even', () => {
		const draw = (seed: number): number[] => Array.from({ length: 2000 }, seeded(seed));
		expect(draw(7)).toEqual(draw(7));
		expect(draw(7)).not.toEqual(draw(8));
		const xs = draw(7);
		expect(xs.every((x) => x >= 0 && x < 1)).toBe(true);
		// Mean of 2,000 even draws: 0.5 ± 0.0065; five of those is beyond chance.
		expect(Math.abs(xs.reduce((a, b) => a + b, 0) / 2000 - 0.5)).toBeLessThan(0.033);
		const buckets = Array.from({ length: 10 }, (_, i) => xs.filter((x) => Math.floor(10 * x) === i).length);
		for (const n of buckets) expect(Math.abs(n - 200)).toBeLessThan(70);
	});
});
