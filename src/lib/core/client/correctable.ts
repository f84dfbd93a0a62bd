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

export const CORRECTABLE: Readonly<Record<EntryKind, readonly Correctable[]>> = {
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
