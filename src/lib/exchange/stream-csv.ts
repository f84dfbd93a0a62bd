/**
 * Recorded streams as CSV (RFC 4180): `n,t_ms,angle_deg,mark` or `n,t_ms,force_n,mark`, one row a sample; a mark stands in the row of
 * its sample, or of the nearest one that came. Reading is strict: other columns, a word for a number, rows out of order are refused with their line.
 */
import { CsvError, parse } from 'csv-parse/browser/esm/sync';
import { refuse, ok, type Result } from '../core/base/result.ts';
import type { Mark, Sample, Stream } from '../core/measure/stream.ts';

export type Recorded = 'angle' | 'force';
const VALUE: Readonly<Record<Recorded, string>> = { angle: 'angle_deg', force: 'force_n' };
const MOST_ROWS = 200_000;

export interface CsvTrouble {
	readonly line: number;
	readonly message: string;
}

export function streamCsv(quantity: Recorded, stream: Stream): string {
	if (stream.samples.length === 0) return `n,t_ms,${VALUE[quantity]},mark\r\n`;
	// A mark whose own packet was lost stands with the nearest sample that came.
	const marked = new Map(
		stream.marks.map((m) => [
			stream.samples.reduce(
				(best, s) => (Math.abs(s.tMs - m.tMs) < Math.abs(best.tMs - m.tMs) ? s : best),
				stream.samples[0] as Sample
			).n,
			m.kind
		])
	);
	const rows = stream.samples.map((s) => `${s.n},${s.tMs},${s.value},${marked.get(s.n) ?? ''}`);
	return [`n,t_ms,${VALUE[quantity]},mark`, ...rows, ''].join('\r\n');
}

/** One row as a sample and its mark, after the sample before it; or what is wrong with it. */
function rowRead(
	row: readonly string[],
	before: Sample | undefined
): Result<{ readonly sample: Sample; readonly mark: Mark['kind'] | '' }, string> {
	const [n = NaN, tMs = NaN, value = NaN] = row.slice(0, 3).map((c) => (c.trim() === '' ? NaN : Number(c)));
	if (![n, tMs, value].every(Number.isFinite))
		return refuse(`“${row.join(',').slice(0, 60)}” holds a word where a number should be.`);
	if (before !== undefined && (n <= before.n || tMs <= before.tMs))
		return refuse('The samples are not in order of their number and time.');
	const mark = row[3]?.trim() ?? '';
	return mark === '' || mark === 'pain' || mark === 'press'
		? ok({ sample: { n, tMs, value }, mark })
		: refuse(`“${mark.slice(0, 20)}” is no mark; pain, press or nothing.`);
}

export function streamFromCsv(
	text: string
): Result<{ readonly quantity: Recorded; readonly stream: Stream }, CsvTrouble> {
	let rows: string[][];
	try {
		rows = parse(text, { bom: true, skip_empty_lines: true });
	} catch (e) {
		return refuse({
			line: e instanceof CsvError && typeof e.lines === 'number' ? e.lines : 1,
			message: 'This is not a table of comma-separated values with the same columns in every row.'
		});
	}
	const header = (rows[0] ?? []).map((h) => h.trim());
	const quantity = (['angle', 'force'] as const).find((q) => header.join() === `n,t_ms,${VALUE[q]},mark`);
	if (quantity === undefined)
		return refuse({
			line: 1,
			message: `The columns are “${header.join(', ').slice(0, 80)}”; they should be n, t_ms, angle_deg, mark or n, t_ms, force_n, mark.`
		});
	if (rows.length - 1 > MOST_ROWS)
		return refuse({ line: MOST_ROWS, message: `At most ${MOST_ROWS} samples.` });
	const samples: Sample[] = [];
	const marks: Mark[] = [];
	for (const [i, row] of rows.slice(1).entries()) {
		const read = rowRead(row, samples[samples.length - 1]);
		if (!read.ok) return refuse({ line: i + 2, message: read.refusal });
		const { sample, mark } = read.value;
		samples.push(sample);
		if (mark !== '') marks.push({ tMs: sample.tMs, kind: mark });
	}
	const [first, last] = [samples[0], samples[samples.length - 1]];
	if (first === undefined || last === undefined || last.n === first.n)
		return refuse({ line: 1, message: 'There are no samples in this file.' });
	return ok({
		quantity,
		stream: { hz: (1000 * (last.n - first.n)) / (last.tMs - first.tMs), samples, marks, complete: true }
	});
}
