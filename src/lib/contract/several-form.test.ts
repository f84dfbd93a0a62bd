/** Several steps ticked on one list: what is read, and what bad input gets. Common practice. */
import { describe, expect, it } from 'vitest';
import { MOST_ROWS, parseSeveral } from './several-form.ts';

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
