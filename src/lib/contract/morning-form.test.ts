/** A morning as a form: what is told besides pain and swelling is kept where it was told, and refused at its field where it cannot be. */
import { describe, expect, it } from 'vitest';
import { parseMorning, typedMorning } from './morning-form.ts';

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
	it('says whether what stands was seen, where that was asked', () => {
		const saw = (over: Readonly<Record<string, string>>) => {
			const p = parse(over);
			return p.ok ? p.value.saw : p;
		};
		expect([saw({}), saw({ saw: '' }), saw({ saw: 'yes' })]).toEqual([undefined, false, true]);
	});
	it('keeps the evening before under an id of its own', () =>
		expect(parse({ 'back.evening': '6' })).toMatchObject({
			ok: true,
			value: { regions: [{ evening: { id: ID(4), pain: 6 } }] }
		}));
	it('is corrected from what stands: what is not touched comes back as it was', () => {
		const said = [
			...[{}, { stiffnessMin: 0 }, { stiffnessMin: 20, provocation: 4 }, { calf: true }, { fever: true }],
			...[
				{ swelling: 'hot', cannotStand: true },
				{ swelling: 'hot', cannotStand: false }
			]
		] as const;
		for (const more of said) {
			const m = { date: '2026-03-12', region: 'back', pain: 0, swelling: 'a-little', ...more } as const;
			const { date: _, fever = false, ...region } = { fever: undefined, ...m };
			const other = { ...m, date: '2026-03-11', pain: 9, calf: true } as const;
			expect(parse(typedMorning('2026-03-12', [other, m], 3)), JSON.stringify(more)).toEqual({
				ok: true,
				value: {
					...{ id: ID(1), day: '2026-03-12', fever: fever === true, soreness: 3, events: [] },
					regions: [{ id: ID(3), ...region }]
				}
			});
		}
		expect(typedMorning('2026-03-13', [{ date: '2026-03-12', region: 'back', pain: 2 }], 3)).toEqual({});
	});
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
