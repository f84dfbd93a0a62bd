/**
 * Norms: published tables and cut-offs, read for one person. No extrapolation: outside a table's ages, or where it needs a sex that
 * is not known, the answer is "no norm" with the reason. Values are compared unrounded.
 */
import type { Sex } from './range-kind.ts';

export interface Person {
	/** Whole years. */
	readonly age: number;
	readonly sex: Sex | null;
}

/** One row of a table: ages inclusive, a cell for both or one for each sex. */
export interface Cell<T> {
	readonly ages?: readonly [number, number];
	readonly any?: T;
	readonly female?: T;
	readonly male?: T;
}

export type Beyond = '<' | '<=' | '>' | '>=';

interface Common {
	readonly id: string;
	readonly source: string;
	readonly population: string;
	/** From which of several readings of the same test the practice is warned, e.g. a coarse band or a conflicting sample. */
	readonly note?: string;
	/** Of a value derived from the reading, e.g. speed or N·m/kg; left out, the reading itself. */
	readonly of?: string;
}

export type Norm =
	| (Common & {
			readonly kind: 'cut';
			readonly worse: Beyond;
			readonly classes: readonly [worse: string, else_: string];
			readonly rows: readonly Cell<number>[];
	  })
	| (Common & {
			readonly kind: 'band';
			readonly better: 'higher' | 'lower';
			readonly rows: readonly Cell<readonly [number, number]>[];
	  })
	| (Common & {
			readonly kind: 'mean';
			readonly better: 'higher' | 'lower';
			readonly rows: readonly Cell<{ readonly mean: number; readonly sd?: number }>[];
	  })
	| (Common & {
			readonly kind: 'bands';
			readonly bands: readonly { readonly upTo: number; readonly class: string }[];
			readonly above: string;
			readonly inclusive: boolean;
			readonly rows: readonly Cell<true>[];
	  });

export interface Reading {
	readonly norm: string;
	readonly class: string;
	/** The number it was held against: a cut, a band or a mean. */
	readonly against: number | readonly [number, number] | null;
	readonly source: string;
	readonly population: string;
	readonly note?: string;
	readonly why?: 'age' | 'sex-unknown' | 'not-derived';
}

export const NO_NORM = 'no-norm';

/** The cell of a person, or why there is none. */
export function cellFor<T>(
	rows: readonly Cell<T>[],
	person: Person
): { readonly cell: T } | { readonly why: 'age' | 'sex-unknown' } {
	const row = rows.find((r) => r.ages === undefined || (person.age >= r.ages[0] && person.age <= r.ages[1]));
	if (row === undefined) return { why: 'age' };
	if (row.any !== undefined) return { cell: row.any };
	if (person.sex === null) return { why: 'sex-unknown' };
	const cell = row[person.sex];
	return cell === undefined ? { why: 'sex-unknown' } : { cell };
}

const BEYOND: Readonly<Record<Beyond, (value: number, cut: number) => boolean>> = {
	'<': (v, c) => v < c,
	'<=': (v, c) => v <= c,
	'>': (v, c) => v > c,
	'>=': (v, c) => v >= c
};

function inBand(value: number, low: number, high: number, better: 'higher' | 'lower'): string {
	if (value >= low && value <= high) return 'average';
	return value > high === (better === 'higher') ? 'above-average' : 'below-average';
}

function byMean(value: number, mean: number, better: 'higher' | 'lower'): string {
	if (value === mean) return 'at-the-mean';
	return value > mean === (better === 'higher') ? 'better-than-the-mean' : 'worse-than-the-mean';
}

/** Reads one norm. `value` undefined: the derived value could not be worked out. */
export function readNorm(norm: Norm, value: number | undefined, person: Person): Reading {
	const about = {
		norm: norm.id,
		source: norm.source,
		population: norm.population,
		...(norm.note === undefined ? {} : { note: norm.note })
	};
	if (value === undefined) return { ...about, class: NO_NORM, against: null, why: 'not-derived' };
	const found = cellFor<unknown>(norm.rows, person);
	if ('why' in found) return { ...about, class: NO_NORM, against: null, why: found.why };
	switch (norm.kind) {
		case 'cut': {
			const cut = found.cell as number;
			return { ...about, class: norm.classes[BEYOND[norm.worse](value, cut) ? 0 : 1], against: cut };
		}
		case 'band': {
			const [low, high] = found.cell as readonly [number, number];
			return { ...about, class: inBand(value, low, high, norm.better), against: [low, high] };
		}
		case 'mean': {
			const { mean } = found.cell as { mean: number };
			return { ...about, class: byMean(value, mean, norm.better), against: mean };
		}
		case 'bands': {
			const band = norm.bands.find((b) => (norm.inclusive ? value <= b.upTo : value < b.upTo));
			return { ...about, class: band?.class ?? norm.above, against: band?.upTo ?? null };
		}
	}
}

/** Good or bad news of a class, for comparing sources; null says neither. */
export function leaning(class_: string): 'worse' | 'better' | null {
	if (
		[
			'below-average',
			'at-risk',
			'worse-than-average',
			'low',
			'poor',
			'restricted',
			'worse-than-the-mean',
			'further-assessment',
			'asymmetric'
		].includes(class_)
	)
		return 'worse';
	if (
		[
			'above-average',
			'average',
			'not-below-average',
			'not-at-risk',
			'not-worse-than-average',
			'not-low',
			'good',
			'better-than-the-mean',
			'at-the-mean',
			'symmetric'
		].includes(class_)
	)
		return 'better';
	return null;
}

/** Do the sources disagree about this value? */
export const conflicting = (readings: readonly Reading[]): boolean =>
	new Set(readings.map((r) => leaning(r.class)).filter((l) => l !== null)).size > 1;
