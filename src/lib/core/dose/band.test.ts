/** Bands by rank and by the practice's own names. Common practice. */
import { expect, it } from 'vitest';
import { BANDS, bandHere, bandOf, isNotOwned, nearestBands, type BandItem } from './band.ts';

const item = (name: string, rank: BandItem['rank']): BandItem => ({ name, rank });
const TWO = [item('Night', 'heavy'), item('Sand', 'light'), item('Sand, long', 'light')];

it('a rank is a number from 1 to 5, the lightest first', () => {
	expect([0, 1, 5, 6, 1.5].map(bandOf)).toEqual([
		undefined,
		'extra-light',
		'extra-heavy',
		undefined,
		undefined
	]);
	expect(BANDS).toHaveLength(5);
});

it('is the first of its rank that is here; none is owned of the others; who ranked none has said nothing', () => {
	expect(bandHere(TWO, 'light')?.name).toBe('Sand');
	expect(BANDS.map((b) => isNotOwned(TWO, b))).toEqual([true, false, true, false, true]);
	expect(BANDS.some((b) => isNotOwned([], b))).toBe(false);
});

it('the nearest are one lighter and one heavier, as far as there are', () => {
	const near = (b: BandItem['rank']) => nearestBands(TWO, b).map((x) => x.name);
	expect([near('medium'), near('extra-light'), near('extra-heavy')]).toEqual([
		['Sand, long', 'Night'],
		['Sand'],
		['Night']
	]);
	expect(nearestBands([], 'medium')).toEqual([]);
});
