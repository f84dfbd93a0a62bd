/**
 * A band by its rank, not by a colour: colours differ from maker to maker. The rank is the practice's own order, lightest first; what a practice calls the
 * band of a rank is its own too.
 * @source common-practice
 */
export const BANDS = ['extra-light', 'light', 'medium', 'heavy', 'extra-heavy'] as const;
export type Band = (typeof BANDS)[number];

/** A band that a practice has, by its own name. */
export interface BandItem {
	readonly name: string;
	readonly rank: Band;
}

/** The rank of a number that is kept, 1 the lightest; undefined where it is none. */
export const bandOf = (rank: number): Band | undefined => BANDS[rank - 1];

/** The first that a practice has of a rank. */
export const bandHere = (bands: readonly BandItem[], rank: Band): BandItem | undefined =>
	bands.find((b) => b.rank === rank);

/** Not owned: the practice ranked its bands, and none is of this rank. A practice that ranked none has said nothing. */
export const isNotOwned = (bands: readonly BandItem[], rank: Band): boolean =>
	bands.length > 0 && bandHere(bands, rank) === undefined;

/** The nearest lighter and heavier that are there, lighter first. */
export function nearestBands(bands: readonly BandItem[], rank: Band): readonly BandItem[] {
	const at = BANDS.indexOf(rank);
	const ranked = [...bands].sort((a, b) => BANDS.indexOf(a.rank) - BANDS.indexOf(b.rank));
	const lighter = ranked.filter((b) => BANDS.indexOf(b.rank) < at).at(-1);
	const heavier = ranked.find((b) => BANDS.indexOf(b.rank) > at);
	return [lighter, heavier].filter((b) => b !== undefined);
}
