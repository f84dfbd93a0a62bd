/**
 * Which of what was entered can be put right in its place, and the columns that hold it. What is of another day, side or place was not mistyped: it is
 * taken out and entered where it belongs. Column, unit and how many of the column make one of the unit.
 */
import type { EntryKind } from './entry-kind.ts';

export interface Correctable {
	readonly column: string;
	readonly label: string;
	readonly unit?: string;
	/** So many of the column's own are one: tenths of a degree 10; left out, text. */
	readonly per?: 1 | 10 | 100;
	readonly low?: number;
	readonly high?: number;
	readonly most?: number;
}

const of = (
	column: string,
	label: string,
	per: 1 | 10 | 100,
	unit: string,
	low: number,
	high: number
): Correctable => ({
	column,
	label,
	per,
	...(unit === '' ? {} : { unit }),
	low,
	high
});
const words = (column: string, label: string, most: number): Correctable => ({ column, label, most });

const COLUMNS: Readonly<Record<EntryKind, readonly Correctable[]>> = {
	range: [
		of('onset_tenths', 'Pain from', 10, '°', -90, 180),
		of('tolerable_tenths', 'Tolerable', 10, '°', -90, 180),
		of('end_tenths', 'End', 10, '°', -90, 180),
		of('pain', 'Pain there', 1, '', 0, 10)
	],
	test: [of('value_hundredths', 'Result', 100, '', -1000, 10_000)],
	total: [of('total_hundredths', 'Total', 100, '', 0, 1000)],
	morning: [of('pain', 'Pain', 1, '', 0, 10), of('stiffness_min', 'Stiff', 1, 'min', 0, 600)],
	complaint: [of('usual_morning', 'Usual morning', 1, '', 0, 10), of('worst', 'Worst', 1, '', 0, 10)],
	goal: [of('score', 'Able now', 1, '', 0, 10)],
	session: [of('soreness', 'Soreness', 1, '', 0, 10), of('confidence', 'Confidence', 1, '', 0, 10)],
	note: [words('body', 'Note', 2000)],
	attachment: [words('title', 'Title', 120)],
	// A number is kept anew, an operation, a limit and an arrival have forms of their own; a story is told again.
	event: [],
	contact: [],
	operation: [],
	limit: [],
	arrival: [],
	story: [],
	repeated: []
};

type Row = Readonly<Record<string, unknown>>;
type Parts = readonly Readonly<Record<string, unknown>>[];

/** What a session holds in lists: the pains of each region and what was done in each set, addressed as "pains.0.peak". */
const PART = /^(pains|sets)\.([0-9])\.(before|peak|after|reps|effort)$/;
const PAIN_LABEL: Readonly<Record<string, string>> = { before: 'before', peak: 'worst', after: 'after' };
const IN_ORDER = ['before', 'peak', 'after', 'reps', 'effort'];
const MOST_REPS = 600;

function partOf(column: string): Correctable | undefined {
	const [, list, i, what = ''] = PART.exec(column) ?? [];
	const pain = PAIN_LABEL[what];
	if (list === 'pains' && pain !== undefined) return of(column, `Pain ${pain}`, 1, '', 0, 10);
	if (list !== 'sets' || pain !== undefined) return undefined;
	const set = `Set ${Number(i) + 1}`;
	return what === 'effort' ? of(column, `${set} effort`, 1, '', 0, 10) : of(column, set, 1, '', 0, MOST_REPS);
}

/** A column, or a part of one, that can be put right; undefined where it is none. */
export const correctable = (kind: EntryKind, column: string): Correctable | undefined =>
	COLUMNS[kind].find((c) => c.column === column) ?? (kind === 'session' ? partOf(column) : undefined);

/** What stands in a row at a column or a part of one. */
export function valueAt(row: Row, column: string): unknown {
	const [list, i, what] = column.split('.');
	return what === undefined ? row[column] : (row[list ?? ''] as Parts | null)?.[Number(i)]?.[what];
}

/** Everything of one row that can be put right. */
export function correctableIn(kind: EntryKind, row: Row): readonly Correctable[] {
	if (kind !== 'session') return COLUMNS[kind];
	const parts = (['pains', 'sets'] as const).flatMap((list) =>
		((row[list] as Parts | null) ?? []).flatMap((part, i) =>
			IN_ORDER.filter((what) => part[what] !== undefined).map((what) => `${list}.${i}.${what}`)
		)
	);
	return [...parts.flatMap((column) => partOf(column) ?? []), ...COLUMNS.session];
}

/** The columns of a row with what was typed in its place; empty where nothing differs, undefined where a part is not there. */
export function changedIn(
	values: Readonly<Record<string, string | number>>,
	row: Row
): Record<string, unknown> | undefined {
	const next: Record<string, unknown> = {};
	for (const [column, v] of Object.entries(values)) {
		const [list = '', i, what] = column.split('.');
		if (what === undefined) {
			if (v !== row[column]) next[column] = v;
			continue;
		}
		const before = valueAt(row, column);
		if (before === undefined) return undefined;
		if (v === before) continue;
		const parts = (next[list] ?? row[list]) as Parts;
		next[list] = parts.map((p, at) => (at === Number(i) ? { ...p, [what]: v } : p));
	}
	return next;
}
