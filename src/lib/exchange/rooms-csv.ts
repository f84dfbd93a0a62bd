/**
 * The racks of a practice as CSV (RFC 4180): one row an item, sizes as printed. Cells that a spreadsheet would run as a formula are written with an
 * apostrophe before them, and read without it. Reading is strict: what is wrong is refused with its line, and nothing of the file is taken.
 */
import { parse } from 'csv-parse/sync';
import { ok, refuse, type Result } from '../core/base/result.ts';
import {
	isBelieved,
	RACK_KINDS,
	RACK_UNITS,
	unitsOf,
	type RackKind,
	type RackUnit
} from '../core/dose/rack-kind.ts';
import { csvOf, readCell } from './csv.ts';

export interface RoomRow {
	readonly room: string;
	readonly kind: RackKind;
	readonly label: string;
	readonly value: number;
	readonly unit: RackUnit;
	readonly count: number;
	readonly outOfOrder: boolean;
}

const COLUMNS = ['room', 'kind', 'label', 'value', 'unit', 'count', 'out_of_order'] as const;
type Cells = Readonly<Record<(typeof COLUMNS)[number], string>>;
const MOST_ROWS = 1000;
const MOST_LABEL = 60;
const MOST_COUNT = 200;

/** CRLF rows with a heading. */
export function roomsCsv(items: readonly RoomRow[]): string {
	const rows = items.map((i) => [
		i.room,
		i.kind,
		i.label,
		String(i.value),
		i.unit,
		String(i.count),
		i.outOfOrder ? 'yes' : ''
	]);
	return csvOf(COLUMNS, rows);
}

export interface RoomsRefusal {
	/** Counted from 1, the heading among them. */
	readonly line: number;
	readonly message: string;
}

const isOneOf = <T extends string>(of: readonly T[], s: string): s is T =>
	(of as readonly string[]).includes(s);

function rowOf(c: Cells): RoomRow | string {
	const kind = c.kind.trim();
	const unit = c.unit.trim();
	const label = readCell(c.label.trim());
	const value = Number(c.value.trim().replace(',', '.'));
	const count = Number(c.count.trim());
	const out = c.out_of_order.trim().toLowerCase();
	if (!isOneOf(RACK_KINDS, kind))
		return `“${kind}” is no kind of thing; ${RACK_KINDS.slice(0, 5).join(', ')} … are`;
	if (!isOneOf(RACK_UNITS, unit) || !unitsOf(kind).includes(unit))
		return `a ${kind} is measured in ${unitsOf(kind).join(' or ')}, not “${unit}”`;
	if (label === '' || label.length > MOST_LABEL) return `a label has 1 to ${MOST_LABEL} letters`;
	if (!(value > 0) || !isBelieved(kind, value, unit)) return `“${c.value}” ${unit} cannot be a ${kind}`;
	if (!Number.isInteger(count) || count < 0 || count > MOST_COUNT)
		return `“${c.count}” is no count from 0 to ${MOST_COUNT}`;
	if (out !== '' && out !== 'yes' && out !== 'no') return `out_of_order is yes, no or empty, not “${out}”`;
	return {
		room: readCell(c.room.trim()).slice(0, 40),
		kind,
		label,
		value,
		unit,
		count,
		outOfOrder: out === 'yes'
	};
}

export function roomsFromCsv(text: string): Result<readonly RoomRow[], RoomsRefusal> {
	let cells: Cells[];
	try {
		cells = parse(text, {
			bom: true,
			columns: (heads: string[]) => {
				const missing = COLUMNS.filter((c) => !heads.includes(c));
				if (missing.length > 0) throw new Error(`the columns ${missing.join(', ')} are missing`);
				return heads;
			},
			skip_empty_lines: true
		}) as Cells[];
	} catch (e) {
		const { lines, message } = e as Error & { readonly lines?: number };
		return refuse({ line: lines ?? 1, message });
	}
	if (cells.length === 0) return refuse({ line: 1, message: 'there is no row under the heading' });
	if (cells.length > MOST_ROWS) return refuse({ line: MOST_ROWS + 2, message: `at most ${MOST_ROWS} rows` });
	const rows: RoomRow[] = [];
	for (const [i, c] of cells.entries()) {
		const row = rowOf(c);
		if (typeof row === 'string') return refuse({ line: i + 2, message: row });
		rows.push(row);
	}
	return ok(rows);
}
