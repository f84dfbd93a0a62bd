/**
 * Limb symmetry: involved over uninvolved, in per cent; for timed tasks, where less is better, the other way up. Compared
 * unrounded, so that 89.96 never passes 90.
 * @source noyes-1991 index and 85 %; reid-2007 timed hop inverted and change beyond error; grindem-2016 90 %; thomee-2011 100 % for
 * pivoting sport; wellsandt-2017 against the value before injury (all from memory)
 */
export type Better = 'higher' | 'lower';

/** Per cent; undefined when a side is zero or not a number. */
export function limbSymmetry(involved: number, uninvolved: number, better: Better): number | undefined {
	if (!(involved > 0 && uninvolved > 0)) return undefined;
	// Multiplied first: 9 of 10 is exactly 90.
	return better === 'higher' ? (100 * involved) / uninvolved : (100 * uninvolved) / involved;
}

/** Weaker over stronger when no side is the sore one; swapping sides changes nothing. */
export function sideShare(left: number, right: number): number | undefined {
	if (!(left > 0 && right > 0)) return undefined;
	return (100 * Math.min(left, right)) / Math.max(left, right);
}

export const SYMMETRY_RULES = [
	{ id: 'noyes', least: 85, source: 'noyes-1991', for: 'normal symmetry' },
	{ id: 'return-to-sport', least: 90, source: 'grindem-2016', for: 'return to sport, non-pivoting' },
	{ id: 'pivoting', least: 100, source: 'thomee-2011', for: 'pivoting and contact sport' }
] as const;

/** Each published line and whether the index reaches it. */
export const symmetryRules = (index: number) => SYMMETRY_RULES.map((r) => ({ ...r, met: index >= r.least }));

/** Index against the same limb's value before injury: the other limb may have weakened too. */
export const againstBefore = (involved: number, before: number): number | undefined =>
	involved > 0 && before > 0 ? (100 * involved) / before : undefined;
