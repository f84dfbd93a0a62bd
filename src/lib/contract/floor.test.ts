/** Whom the address of the floor names. */
import { describe, expect, it } from 'vitest';
import { floorAddress, floorAsked, MOST_ON_FLOOR } from './floor.ts';

const ID = (n: number): string => `019b3154-ce00-71c2-83ab-75d79c0044c${n}`;
const asked = (query: string) => floorAsked(new URLSearchParams(query));

describe('the floor', () => {
	it('that names nobody is of those who arrived; one that was emptied is empty', () => {
		expect(asked('')).toBeNull();
		expect(asked('with=')).toEqual([]);
	});
	it('names each once, in their order, and no more than can be watched', () => {
		expect(asked(`with=${ID(2)},${ID(1)},${ID(2)}`)).toEqual([ID(2), ID(1)]);
		expect(asked(`with=${[0, 1, 2, 3, 4, 5, 6, 7].map(ID).join()}`)).toHaveLength(MOST_ON_FLOOR);
		expect(asked(`with=${ID(1)}&with=${ID(2)}`)).toEqual([ID(1), ID(2)]);
	});
	it('what is no id is nobody', () => expect(asked(`with=x,__proto__,${ID(1)}`)).toEqual([ID(1)]));
	it('comes back from the address made of it', () =>
		expect(asked(floorAddress([ID(3), ID(1)]).split('?')[1] as string)).toEqual([ID(3), ID(1)]));
});
