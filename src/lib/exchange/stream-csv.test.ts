/** Recorded streams as CSV: there and back, the same analysis, and files that are not one (RFC 4180 by a second, strict reader). */
import { parse } from 'csv-parse/sync';
import { describe, expect, it } from 'vitest';
import { repetitionsIn } from '../core/measure/repetitions.ts';
import { angleStream } from '../core/measure/simulated-device.ts';
import { streamCsv, streamFromCsv } from './stream-csv.ts';

const stream = angleStream(
	{ reps: 4, startDeg: 3, peakDeg: 80, downSec: 1.8, pauseSec: 0.5, upSec: 1.5, restSec: 0.8, painAtDeg: 60 },
	{ noise: 0.4, driftPerMin: 2, lostShare: 0.03 },
	9
);
const csv = streamCsv('angle', stream);

describe('a recorded stream', () => {
	it('is read back as it was, and analysed to the same answer', () => {
		const back = streamFromCsv(csv);
		if (!back.ok) throw new Error(back.refusal.message);
		expect(back.value.quantity).toBe('angle');
		expect(back.value.stream.samples).toEqual(stream.samples);
		expect(back.value.stream.hz).toBeCloseTo(50, 6);
		expect(back.value.stream.marks.length).toBe(stream.marks.length);
		const [a, b] = [repetitionsIn(stream), repetitionsIn(back.value.stream)];
		if (a.kind !== 'movement' || b.kind !== 'movement') throw new Error('cannot tell');
		expect(b.movement.peakDeg).toBeCloseTo(a.movement.peakDeg, 6);
		expect(b.movement.repetitions.length).toBe(4);
	});
	it('has CRLF rows of four fields that a strict reader takes', () => {
		const rows = parse(csv, { record_delimiter: '\r\n' }) as string[][];
		expect(rows[0]).toEqual(['n', 't_ms', 'angle_deg', 'mark']);
		expect(rows.length).toBe(stream.samples.length + 1);
		expect(csv.endsWith('\r\n')).toBe(true);
	});
	it('takes a byte-order mark, plain line ends and a force', () => {
		expect(streamFromCsv('\uFEFFn,t_ms,force_n,mark\n0,0,1,\n1,20,2,press\n')).toMatchObject({
			ok: true,
			value: { quantity: 'force', stream: { hz: 50, marks: [{ kind: 'press', tMs: 20 }] } }
		});
	});
	it.each([
		['the wrong columns', 'time;angle\n0;1\n', 1, 'should be n, t_ms'],
		['other columns in order', 'n,t_ms,angle,mark\n0,0,1,\n', 1, 'angle_deg'],
		['a ragged row', 'n,t_ms,angle_deg,mark\n0,0,1,\n1,20\n', 3, 'same columns'],
		['a word for a number', 'n,t_ms,angle_deg,mark\n0,0,1,\n1,20,bent,\n', 3, 'a word where a number'],
		['an empty cell', 'n,t_ms,angle_deg,mark\n0,0,1,\n1,,5,\n', 3, 'a word where a number'],
		['rows out of order', 'n,t_ms,angle_deg,mark\n1,20,1,\n0,0,5,\n', 3, 'not in order'],
		['a mark nobody knows', 'n,t_ms,angle_deg,mark\n0,0,1,ouch\n1,20,2,\n', 2, 'is no mark'],
		['no samples', 'n,t_ms,angle_deg,mark\n', 1, 'no samples'],
		['an empty file', '', 1, 'columns'],
		['a picture', '\u0089PNG\r\n\u001a', 1, '']
	])('refuses %s with its line', (_, text, line, message) => {
		const r = streamFromCsv(text);
		if (r.ok) throw new Error('read');
		expect(r.refusal.line).toBe(line);
		expect(r.refusal.message).toContain(message);
	});
});
