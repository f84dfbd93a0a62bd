/** Racks as CSV: there and back (RFC 4180 by a strict reader), formulas made harmless, files that are not one. */
import { parse } from 'csv-parse/sync';
import { describe, expect, it } from 'vitest';
import { roomsCsv, roomsFromCsv, type RoomRow } from './rooms-csv.ts';

const ITEMS: readonly RoomRow[] = [
	{ room: 'Gym', kind: 'seat', label: 'Bench, "low"', value: 40, unit: 'cm', count: 2, outOfOrder: false },
	{ room: '', kind: 'weight', label: '=cmd()', value: 25, unit: 'lb', count: 1, outOfOrder: true },
	{ room: '-2', kind: 'step', label: "'tis a step", value: 6.5, unit: 'in', count: 0, outOfOrder: false }
];

describe('racks', () => {
	it('are read back as they were', () => {
		const back = roomsFromCsv(roomsCsv(ITEMS));
		expect(back.ok ? back.value : back.refusal).toEqual(ITEMS);
	});
	it('hold no cell that a spreadsheet would run, in CRLF rows of seven fields', () => {
		const rows = parse(roomsCsv(ITEMS), { record_delimiter: '\r\n' }) as string[][];
		expect(rows).toHaveLength(4);
		for (const cell of rows.flat()) expect(cell).not.toMatch(/^[=+\-@]/);
		expect(rows[2]?.[2]).toBe("'=cmd()");
	});
	const head = 'room,kind,label,value,unit,count,out_of_order\n';
	it.each([
		['other columns', 'room;kind\nGym;seat\n', 1, 'are missing'],
		['nothing', '', 1, 'no row'],
		['a heading alone', head, 1, 'no row'],
		['a ragged row', `${head}Gym,seat,Bench,40,cm,2,\nGym,seat\n`, 3, 'Invalid Record Length'],
		['a kind nobody knows', `${head}Gym,sofa,Sofa,40,cm,2,\n`, 2, '“sofa” is no kind'],
		['a seat in kilograms', `${head}Gym,seat,Bench,40,kg,2,\n`, 2, 'measured in cm or in'],
		['a wedge of half a metre', `${head}Gym,wedge,Wedge,50,cm,1,\n`, 2, 'cannot be a wedge'],
		['a word for a height', `${head}Gym,seat,Bench,low,cm,1,\n`, 2, 'cannot be a seat'],
		['half a bench', `${head}Gym,seat,Bench,40,cm,1.5,\n`, 2, 'is no count'],
		['no label', `${head}Gym,seat,,40,cm,1,\n`, 2, 'a label has'],
		[
			'a second row that is wrong',
			`${head}Gym,seat,Bench,40,cm,1,\nGym,seat,Bench,40,cm,1,maybe\n`,
			3,
			'yes, no or empty'
		]
	])('refuses %s with its line, and takes nothing', (_, text, line, message) => {
		const r = roomsFromCsv(text);
		if (r.ok) throw new Error('read');
		expect(r.refusal.line).toBe(line);
		expect(r.refusal.message).toContain(message);
	});
	it('takes a byte-order mark and a comma for a point', () => {
		const r = roomsFromCsv(`\uFEFF${head}Gym,wedge,Wedge,"4,5",cm,1,no\n`);
		expect(r.ok ? r.value[0]?.value : 0).toBe(4.5);
	});
});
