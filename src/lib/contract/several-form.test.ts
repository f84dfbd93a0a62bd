/** Several steps ticked on one list: what is read, and what bad input gets. Common practice. */
import { describe, expect, it } from 'vitest';
import { MOST_ROWS, parseSeveral, parseSlips } from './several-form.ts';

const ID = (n: number): string => `0190b6c5-7a60-7000-8000-${String(n).padStart(12, '0')}`;
const row = (i: number, take: boolean): Record<string, string> => ({
	[`id.${i}`]: ID(10 + i),
	[`exerciseId.${i}`]: ID(20 + i),
	[`family.${i}`]: 'bridge',
	[`step.${i}`]: 'bridge',
	...(take ? { [`take.${i}`]: 'on' } : {})
});
function parse(...parts: Record<string, string>[]) {
	const form = new FormData();
	for (const [k, v] of Object.entries(
		Object.assign({ id: ID(1), region: 'knee-left' }, ...parts) as Record<string, string>
	))
		form.set(k, v);
	return parseSeveral(form);
}

describe('several steps', () => {
	it('reads what was ticked, for the one region, and nothing else', () => {
		expect(parse(row(0, true), row(1, false), row(MOST_ROWS - 1, true), row(MOST_ROWS, true))).toMatchObject({
			ok: true,
			id: ID(1),
			picked: [
				{ exerciseId: ID(20), region: 'knee-left' },
				{ exerciseId: ID(20 + MOST_ROWS - 1), region: 'knee-left' }
			]
		});
	});
	it('nothing ticked, no region, a row without its ids: each is refused by name', () => {
		expect(parse(row(0, false))).toMatchObject({ ok: false, message: 'Tick at least one exercise.' });
		expect(parse(row(0, true), { region: '' })).toMatchObject({ ok: false, field: 'region' });
		expect(parse(row(0, true), { 'exerciseId.0': 'x' })).toMatchObject({ ok: false, field: 'take.0' });
	});
});

describe('several slips', () => {
	const slip = (i: number): Record<string, string> => ({
		[`id.${i}`]: ID(10 + i),
		[`prescriptionId.${i}`]: ID(20 + i),
		[`exerciseId.${i}`]: ID(30 + i),
		[`basedOn.${i}`]: ID(40 + i),
		[`hash.${i}`]: 'ab'
	});
	const sent = (...parts: Record<string, string>[]) => {
		const form = new FormData();
		for (const [k, v] of Object.entries(Object.assign({ id: ID(1) }, ...parts) as Record<string, string>))
			form.set(k, v);
		return parseSlips(form);
	};
	it('reads those that were ticked with what they rest on, and refuses what has lost it', () => {
		expect(sent(slip(0), slip(2), { 'take.2': 'on' })).toEqual({
			ok: true,
			id: ID(1),
			slips: [{ id: ID(12), prescriptionId: ID(22), exerciseId: ID(32), basedOn: ID(42), hash: 'ab' }]
		});
		expect(sent(slip(0))).toMatchObject({ ok: false, message: 'Tick at least one slip.' });
		expect(sent(slip(0), { 'take.0': 'on', 'hash.0': '' })).toMatchObject({ ok: false, field: 'take.0' });
		expect(sent(slip(0), { 'take.0': 'on', id: '1' })).toMatchObject({ ok: false, field: '' });
	});
});
