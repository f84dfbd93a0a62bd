/** Lists while they are written: one in the place of another, taken out, added, moved. Answers a new list. */

/** Something else in a place; behind the last it is added, and null takes it out. */
export const replaced = <T>(list: readonly T[], at: number, by: T | null): readonly T[] => [
	...list.slice(0, at),
	...(by === null ? [] : [by]),
	...list.slice(at + 1)
];

/** One place earlier; the first stays. */
export function earlier<T>(list: readonly T[], at: number): readonly T[] {
	const [own, before] = [list[at], list[at - 1]];
	if (own === undefined || before === undefined) return list;
	return list.map((x, i) => (i === at ? before : i === at - 1 ? own : x));
}

/** A list that may be left out: empty, it is. */
export const orNone = <T>(list: readonly T[]): readonly T[] | undefined =>
	list.length === 0 ? undefined : list;

/** One of a set on or off; left out where none is on. */
export const toggled = <T>(list: readonly T[] | undefined, one: T, on: boolean): readonly T[] | undefined =>
	orNone([...(list ?? []).filter((x) => x !== one), ...(on ? [one] : [])]);
