/** A correction as a form: everything that is wrong at once, each at its field; in the column's own unit. */
import { describe, expect, it } from 'vitest';
import { correctableIn } from '#lib/core/client/correctable.ts';
import { ENTRY_KINDS } from '#lib/core/client/entry-kind.ts';
import { parseCorrection, takeOutForm } from './entry.ts';

const of = (typed: Readonly<Record<string, string>>) => new Map(Object.entries(typed));

describe('what is put right', () => {
	it('in the unit of its column; what is left empty, or is no column of its kind, is not read', () => {
		expect(
			parseCorrection('range', of({ tolerable_tenths: '98,5', pain: '3', end_tenths: '', voided: 'true' }))
		).toEqual({ ok: true, value: { tolerable_tenths: 985, pain: 3 } });
		expect(parseCorrection('test', of({ value_hundredths: '12.34' }))).toEqual({
			ok: true,
			value: { value_hundredths: 1234 }
		});
		expect(parseCorrection('note', of({ body: '  it was the left  ' }))).toEqual({
			ok: true,
			value: { body: 'it was the left' }
		});
		expect(parseCorrection('operation', of({ local_day: '2026-01-01' }))).toEqual({ ok: true, value: {} });
	});
	it('of a session, what stands in its lists; of no other kind, and nothing but what is known of them', () => {
		const typed = of({
			'pains.0.peak': '3',
			'sets.1.reps': '7',
			'sets.0.peak': '1',
			'pains.0.reps': '1',
			'pains.10.peak': '1',
			'sets.0.constructor': '1'
		});
		expect(parseCorrection('session', typed)).toEqual({
			ok: true,
			value: { 'pains.0.peak': 3, 'sets.1.reps': 7 }
		});
		expect(parseCorrection('morning', typed)).toEqual({ ok: true, value: {} });
		const wrong = parseCorrection('session', of({ 'pains.0.peak': '11', 'sets.0.reps': '7.5' }));
		expect(wrong.ok ? [] : wrong.issues.map((i) => i.field)).toEqual(['pains.0.peak', 'sets.0.reps']);
	});
	it('refuses everything at once, each at its field: half a point, past the scale, no number, too long, NUL', () => {
		const wrong = (kind: (typeof ENTRY_KINDS)[number], typed: Readonly<Record<string, string>>) => {
			const r = parseCorrection(kind, of(typed));
			return r.ok ? [] : r.issues.map((i) => i.field);
		};
		expect(
			wrong('range', { pain: '2.5', end_tenths: 'many', onset_tenths: '181', tolerable_tenths: '90' })
		).toEqual(['pain', 'end_tenths', 'onset_tenths']);
		expect(wrong('morning', { pain: '11', stiffness_min: '601' })).toEqual(['pain', 'stiffness_min']);
		expect(wrong('morning', { pain: '10', stiffness_min: '600' })).toEqual([]);
		expect(wrong('note', { body: 'x'.repeat(2001) })).toEqual(['body']);
		expect(wrong('attachment', { title: 'a\0b' })).toEqual(['title']);
	});
	it('each number has bounds, each text a length', () => {
		const row = { pains: [{ region: 'back', before: 1, peak: 2, after: 1 }], sets: [{ reps: 8, effort: 4 }] };
		const fields = ENTRY_KINDS.flatMap((k) => correctableIn(k, row));
		expect(fields.length).toBeGreaterThan(19);
		for (const c of fields)
			expect(c.per === undefined ? (c.most ?? 0) > 0 : (c.low ?? 0) < (c.high ?? 0), c.column).toBe(true);
	});
});

it('a reason is five letters at least', () => {
	const id = '0190b6c5-7a60-7000-8000-000000000001';
	const sent = (reason: string) => takeOutForm.safeParse({ id, kind: 'note', entryId: id, reason }).success;
	expect([sent('four'), sent('fives'), sent('  four  ')]).toEqual([false, true, false]);
});
