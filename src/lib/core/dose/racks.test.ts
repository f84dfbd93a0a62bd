/** Loads of a rack with single bells of 4 to 20 kg, as most practices have them. Common practice. */
import { describe, expect, it } from 'vitest';
import { loadsItself, nearestLoads, onTheRacks, startLoad } from './racks.ts';

const items = [4, 6, 8, 16].map((kg) => ({ kg, count: kg === 4 ? 2 : 1 }));
const racks = { items, household: false };

describe('the loads there are', () => {
	it.each([
		[0, true],
		[4, true],
		[8, true],
		[7, false],
		[12, false],
		[32, false],
		[8.05, false],
		[7.96, true]
	])('%s kg: %s', (kg, there) => expect(onTheRacks(kg, racks)).toBe(there));
	it('two of a weight need two of it', () => {
		const pairs = [{ kg: 5, count: 2 }];
		expect(onTheRacks(10, { items: pairs, household: false })).toBe(true);
		expect(onTheRacks(10, { items: [{ kg: 5, count: 1 }], household: false })).toBe(false);
	});
	it('a bag at home is filled to whatever it takes, up to what a bag weighs', () => {
		expect(onTheRacks(10, { items: [], household: true })).toBe(true);
		expect(onTheRacks(10.5, { items: [], household: true })).toBe(false);
	});
	it('the nearest below and above; one of them at an end of the rack', () => {
		expect(nearestLoads(7, items)).toEqual([6, 8]);
		expect(nearestLoads(3, items)).toEqual([4]);
		expect(nearestLoads(20, items)).toEqual([16]);
	});
	it('a machine carries its own load, among other things or as one of several ways', () => {
		expect(loadsItself(['leg-press'])).toBe(true);
		expect(loadsItself(['chair', ['band', 'curl-machine']])).toBe(true);
		expect(loadsItself(['chair', 'cuff'])).toBe(false);
		expect(loadsItself()).toBe(false);
	});
	it('a first load that is not there becomes the lighter one, never the heavier', () => {
		expect(startLoad(8, racks)).toBe(8);
		expect(startLoad(10, racks)).toBe(8);
		expect(startLoad(3, racks)).toBe(0);
	});
});
