/** A morning as a form: what is told besides pain and swelling is kept where it was told, and refused at its field where it cannot be. */
import { describe, expect, it } from 'vitest';
import { parseMorning } from './morning-form.ts';

const ID = (n: number): string => `00000000-0000-7000-8000-${String(n).padStart(12, '0')}`;
function parse(over: Readonly<Record<string, string>> = {}) {
	const f = new FormData();
	const all = {
		...{ id: ID(1), day: '2026-03-12', eventId: ID(2), events: '' },
		...{ 'back.id': ID(3), 'back.pain': '2', 'back.swelling': 'none', 'back.eveningId': ID(4) },
		...over
	};
	for (const [k, v] of Object.entries(all)) f.append(k, v);
	return parseMorning(f, ['back'], (r) => r);
}

describe('a morning', () => {
	it('without soreness and without an evening says nothing of them', () => {
		const p = parse();
		expect(p.ok && p.value).toEqual({
			...{ id: ID(1), day: '2026-03-12', fever: false, events: [] },
			regions: [{ id: ID(3), region: 'back', pain: 2, swelling: 'none' }]
		});
	});
	it('keeps soreness of the muscles, nought too', () => {
		expect(parse({ soreness: '0' })).toMatchObject({ ok: true, value: { soreness: 0 } });
		expect(parse({ soreness: '7' })).toMatchObject({ ok: true, value: { soreness: 7 } });
	});
	it('keeps the evening before under an id of its own', () =>
		expect(parse({ 'back.evening': '6' })).toMatchObject({
			ok: true,
			value: { regions: [{ evening: { id: ID(4), pain: 6 } }] }
		}));
	it.each([
		[{ soreness: '11' }, 'soreness'],
		[{ soreness: '2.5' }, 'soreness'],
		[{ 'back.evening': '11' }, 'back.evening'],
		[{ 'back.evening': '6', 'back.eveningId': 'x' }, 'back.evening']
	])('%j is refused at its field', (over, field) => {
		const p = parse(over as unknown as Record<string, string>);
		expect(p.ok ? [] : p.issues.map((i) => i.field)).toEqual([field]);
	});
});
