/** Sizes as printed. International yard and pound agreement 1959: 1 in = 25.4 mm, 1 lb = 0.45359237 kg, exactly. */
import { describe, expect, it } from 'vitest';
import { EQUIPMENT } from '../exercise/family.ts';
import { isBelieved, isSized, measured, RACK_KINDS, unitsOf } from './rack-kind.ts';

describe('sizes', () => {
	it('inches and pounds are kept in whole mm and g', () => {
		expect(measured(18, 'in')).toEqual({ mm: 457, g: null });
		expect(measured(25, 'lb')).toEqual({ mm: null, g: 11_340 });
		expect(measured(46.5, 'cm')).toEqual({ mm: 465, g: null });
		expect(measured(7.5, 'kg')).toEqual({ mm: null, g: 7500 });
	});
	it('a seat is high, a weight is heavy, a roller is either', () => {
		expect(unitsOf('seat')).toEqual(['cm', 'in']);
		expect(unitsOf('weight')).toEqual(['kg', 'lb']);
		expect(unitsOf('roller')).toEqual(['cm', 'in', 'kg', 'lb']);
	});
	it('of a couch it decides nothing; of a band the rank of tension does', () => {
		expect(unitsOf('band')).toEqual(['rank']);
		expect([0, 1, 5, 6, 2.5].map((n) => isBelieved('band', n, 'rank'))).toEqual([
			...[false, true, true],
			...[false, false]
		]);
		expect(
			(['seat', 'pad', 'wedge', 'step', 'weight', 'band', 'bed', 'roller'] as const).map(isSized)
		).toEqual([...Array<boolean>(6).fill(true), ...Array<boolean>(2).fill(false)]);
	});
	it('what is mistyped is not believed: the boundary still is', () => {
		expect([isBelieved('wedge', 12, 'cm'), isBelieved('wedge', 12.1, 'cm')]).toEqual([true, false]);
		expect([isBelieved('seat', 15, 'cm'), isBelieved('seat', 14.9, 'cm')]).toEqual([true, false]);
		expect([isBelieved('weight', 150, 'kg'), isBelieved('weight', 331, 'lb')]).toEqual([true, false]);
		expect(isBelieved('roller', 400, 'cm')).toBe(true);
	});
});

it('every thing that steps ask for can be there, but what is there anyway', () => {
	const always = ['wall', 'counter', 'pillow', 'towel', 'chair', 'household-weight'];
	expect(EQUIPMENT.filter((e) => !(RACK_KINDS as readonly string[]).includes(e)).sort()).toEqual(
		always.sort()
	);
	expect(new Set(RACK_KINDS).size).toBe(RACK_KINDS.length);
});
