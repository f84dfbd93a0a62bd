/** What can be set inside a step, while it is written: begun from a choice of the catalogue, its places renamed, given other numbers, taken out. */
import { CHOICE_ROWS } from '#lib/catalogue/choices.ts';
import type { Choice, Place } from '#lib/core/exercise/family.ts';
import { replaced } from './lists.ts';

/** Each choice of the catalogue with a step that it is of; two of one name are two rows. */
export const CHOICES_THERE: readonly {
	readonly value: string;
	readonly name: string;
	readonly choice: Choice;
}[] = CHOICE_ROWS.map(({ choice }, i) => ({
	value: String(i),
	name: `${choice.title}: ${choice.of.map((p) => p.title).join(choice.ranked ? ' → ' : ' · ')}`,
	choice
}));

/** The numbers of a place: what it is solved with, and seconds at the hard point. */
export const numbersOfPlace = (p: Place): readonly (readonly [key: string, value: number])[] => [
	...Object.entries(p.posture ?? {}),
	...(p.pauseSec === undefined ? [] : [['pauseSec', p.pauseSec] as const])
];

export const withPlaceNumber = (p: Place, key: string, value: number | string): Place =>
	(key === 'pauseSec'
		? { ...p, pauseSec: value }
		: { ...p, posture: { ...p.posture, [key]: value } }) as Place;

/** A place changed or taken out; where it was the usual one, the first is. */
export function withPlace(c: Choice, at: number, by: Place | null): Choice {
	const of = replaced(c.of, at, by);
	const usual = of.some((p) => p.id === c.usual) ? c.usual : (of[0]?.id ?? c.usual);
	return { ...c, of, usual };
}
