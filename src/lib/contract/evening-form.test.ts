/** An evening as a form: every place has its pain, soreness and the kind of day may be left out. */
import { describe, expect, it } from 'vitest';
import { record, session } from '../../../tests/records.ts';
import { decideInput } from './decide.ts';
import { parseEvening } from './evening-form.ts';

const ID = (n: number): string => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`;
const REGIONS = ['knee-right', 'back'];
function form(over: Readonly<Record<string, string | null>> = {}): FormData {
	const f = new FormData();
	const all = {
		...{ id: ID(1), day: '2026-03-12', eventId: ID(2), events: '', soreness: '' },
		...{ 'knee-right.id': ID(3), 'knee-right.pain': '4', 'back.id': ID(4), 'back.pain': '0' },
		...over
	};
	for (const [k, v] of Object.entries(all)) if (v !== null) f.append(k, v);
	return f;
}
const parse = (over: Readonly<Record<string, string | null>> = {}) =>
	parseEvening(form(over), REGIONS, (r) => r);

describe('an evening', () => {
	it('is read with nought as a number, and without what was not said', () =>
		expect(parse()).toEqual({
			ok: true,
			value: {
				id: ID(1),
				day: '2026-03-12',
				regions: [
					{ id: ID(3), region: 'knee-right', pain: 4 },
					{ id: ID(4), region: 'back', pain: 0 }
				]
			}
		}));
	it('keeps soreness and the kind of day where they were said', () =>
		expect(parse({ soreness: '7', events: 'unusual-activity' })).toMatchObject({
			ok: true,
			value: { soreness: 7, event: { id: ID(2), kind: 'unusual-activity' } }
		}));
	it.each([
		['a place without its pain', { 'back.pain': '' }, 'back.pain'],
		['a place that is left out', { 'back.pain': null }, 'back.pain'],
		['eleven', { 'back.pain': '11' }, 'back.pain'],
		['a half', { 'knee-right.pain': '3.5' }, 'knee-right.pain'],
		['a place without its id', { 'back.id': null }, 'back.pain'],
		['soreness over ten', { soreness: '11' }, 'soreness'],
		['a day that is none', { day: '2026-02-30' }, 'day'],
		['a kind of day nobody knows', { events: 'holiday' }, 'events'],
		['a kind of day without its id', { events: 'illness', eventId: null }, 'events'],
		['no id', { id: '' }, 'id']
	])('%s is refused at its field', (_, over, field) => {
		const p = parse(over);
		expect(p.ok).toBe(false);
		if (!p.ok) expect(p.issues.map((i) => i.field)).toContain(field);
	});
	it('says everything that is wrong at once', () => {
		const p = parse({ 'back.pain': '', 'knee-right.pain': 'x' });
		expect(p.ok ? 0 : p.issues.length).toBe(2);
	});
});

describe('a stored decision', () => {
	it('that rests on an evening is read by the command line as it was stored', () => {
		const input = record({ sessions: [session('2026-03-18', {}, { evening: 6 })] });
		// The command line names the policy.
		const stored = JSON.parse(JSON.stringify({ ...input, policy: input.policy.id })) as unknown;
		const parsed = decideInput.safeParse(stored);
		expect(parsed.success ? [] : parsed.error.issues.map((i) => i.path.join('.'))).toEqual([]);
	});
});
