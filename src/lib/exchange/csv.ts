/**
 * Rows as CSV (RFC 4180): CRLF, quoted where a cell needs it. A text that a spreadsheet would run as a formula is written with an apostrophe before it;
 * a number keeps its minus sign.
 */
const RUNS = /^[=+\-@\t\r]/;

/** A cell: a number is written as it is, a text so that no spreadsheet runs it. */
export type Cell = string | number;

/** What a spreadsheet would run begins with an apostrophe. */
export const safeCell = (cell: string): string => (RUNS.test(cell) ? `'${cell}` : cell);
/** A cell that was written so, as it was. */
export const readCell = (cell: string): string =>
	cell.startsWith("'") && RUNS.test(cell.slice(1)) ? cell.slice(1) : cell;
const quoted = (cell: string): string => (/[",\r\n]/.test(cell) ? `"${cell.replaceAll('"', '""')}"` : cell);

/** A heading and its rows. */
export const csvOf = (head: readonly string[], rows: readonly (readonly Cell[])[]): string =>
	[head, ...rows]
		.map((r) => `${r.map((c) => (typeof c === 'number' ? String(c) : quoted(safeCell(c)))).join(',')}\r\n`)
		.join('');

/** A value of a table as a cell: text as it is, instants in ISO, the rest as JSON; nothing is an empty cell. */
export function cellOf(value: unknown): Cell {
	if (value === null || value === undefined) return '';
	if (typeof value === 'number' && Number.isFinite(value)) return value;
	if (value instanceof Date) return value.toISOString();
	return typeof value === 'string' ? value : JSON.stringify(value);
}
