/** What stands in a practice's rooms: things of a height, things of a weight, and things that are simply there. Sizes as printed, kept in mm and g. */
import { CM_PER_INCH, KG_PER_POUND } from '../base/imperial.ts';
import { EQUIPMENT, type Equipment } from '../exercise/family.ts';
import { bandOf } from './band.ts';

/** Kinds whose height decides what can be set up, and kinds whose weight does. */
export const HIGH_KINDS = ['seat', 'pad', 'wedge', 'step'] as const;
export const HEAVY_KINDS = ['weight'] as const;
/** Kinds whose tension does, by the practice's own rank. */
export const TENSE_KINDS = ['band'] as const;
/** Walls, something firm to hold and linen are everywhere, and a seat says that there is a chair. */
const EVERYWHERE: ReadonlySet<Equipment> = new Set([
	'wall',
	'counter',
	'pillow',
	'towel',
	'chair',
	'household-weight'
]);

export const RACK_KINDS = [
	...new Set([...HIGH_KINDS, ...HEAVY_KINDS, ...EQUIPMENT.filter((e) => !EVERYWHERE.has(e))])
] as const;
export type RackKind = (typeof RACK_KINDS)[number];

/** A rank is of tension, 1 the lightest of five. */
export const RACK_UNITS = ['cm', 'in', 'kg', 'lb', 'rank'] as const;
export type RackUnit = (typeof RACK_UNITS)[number];

const has = (kinds: readonly string[], kind: string): boolean => kinds.includes(kind);

/** Does its size decide anything? A couch is there or not. */
export const isSized = (kind: RackKind): boolean =>
	has(HIGH_KINDS, kind) || has(HEAVY_KINDS, kind) || has(TENSE_KINDS, kind);

/** Which units a kind is printed in; any where its size decides nothing. */
export const unitsOf = (kind: RackKind): readonly RackUnit[] =>
	has(HIGH_KINDS, kind)
		? ['cm', 'in']
		: has(HEAVY_KINDS, kind)
			? ['kg', 'lb']
			: has(TENSE_KINDS, kind)
				? ['rank']
				: RACK_UNITS.filter((u) => u !== 'rank');

/** A printed size in whole mm or g. International yard and pound agreement 1959: 1 in = 25.4 mm, 1 lb = 453.59237 g. */
export function measured(
	value: number,
	unit: RackUnit
): { readonly mm: number | null; readonly g: number | null } {
	switch (unit) {
		case 'cm':
			return { mm: Math.round(value * 10), g: null };
		case 'in':
			return { mm: Math.round(value * CM_PER_INCH * 10), g: null };
		case 'kg':
			return { mm: null, g: Math.round(value * 1000) };
		case 'rank':
			return { mm: null, g: null };
		case 'lb':
			return { mm: null, g: Math.round(value * KG_PER_POUND * 1000) };
	}
}

/** Sizes that are believed, in mm and g: a wedge of 40 cm and a bell of 300 kg are mistyped. @source common-practice */
const BELIEVED: Readonly<Record<string, readonly [number, number]>> = {
	seat: [150, 900],
	pad: [5, 200],
	wedge: [5, 120],
	step: [30, 600],
	weight: [200, 150_000]
};

/** Is a size inside what is believed of its kind? */
export function isBelieved(kind: RackKind, value: number, unit: RackUnit): boolean {
	if (unit === 'rank') return bandOf(value) !== undefined;
	const bounds = BELIEVED[kind];
	const { mm, g } = measured(value, unit);
	const size = mm ?? g ?? 0;
	return bounds === undefined || (size >= bounds[0] && size <= bounds[1]);
}
