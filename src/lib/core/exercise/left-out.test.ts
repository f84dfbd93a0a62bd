/** Ladders without what is left out for a client: the forward lunge, which some never use, is passed over (common practice). */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { stepOf, type ExerciseFamily } from './family.ts';
import { laddersWithout, withoutLeftOut } from './left-out.ts';

const lunge = FAMILIES.lunge as ExerciseFamily;

describe('left out', () => {
	it('an edge passes over to where it leads, the way back too, and gates stay', () => {
		const f = withoutLeftOut(lunge, ['forward-lunge']);
		expect(stepOf(f, 'forward-lunge')).toBeUndefined();
		expect(stepOf(f, 'reverse-lunge')?.next).toContainEqual({ to: 'walking-lunge', dial: 'impact' });
		expect(stepOf(f, 'walking-lunge')?.easier).toBe('reverse-lunge');
		expect(stepOf(f, 'walking-lunge')?.gates).toEqual(stepOf(lunge, 'walking-lunge')?.gates);
	});
	it('several in a row are passed over together; what nothing leads to ends there', () => {
		const f = withoutLeftOut(lunge, ['forward-lunge', 'walking-lunge', 'crossed-lunge']);
		const ways = stepOf(f, 'reverse-lunge')?.next.map((e) => e.to) ?? [];
		expect(ways).toEqual(['loaded-reverse-lunge', 'side-lunge']);
	});
	it('steps that lead to each other and are both left out end there, forwards and back', () => {
		const of = (id: string, to: string, easier: string | null) => ({
			...lunge.steps[0]!,
			...{ id, easier, next: [{ to, dial: 'load' as const }] }
		});
		const round = { ...lunge, steps: [of('a', 'b', 'b'), of('b', 'c', 'c'), of('c', 'b', 'b')] };
		const f = withoutLeftOut(round, ['b', 'c']);
		expect(f.steps).toMatchObject([{ id: 'a', next: [], easier: null }]);
	});
	it('a ladder that loses nothing is itself, and nothing left out changes nothing', () => {
		expect(withoutLeftOut(lunge, ['leg-press'])).toBe(lunge);
		expect(laddersWithout(FAMILIES, [])).toBe(FAMILIES);
	});
	it('of any ladder, whatever is left out, every edge and way back leads to what is there', () => {
		const all = Object.values(FAMILIES);
		fc.assert(
			fc.property(fc.constantFrom(...all), fc.func(fc.boolean()), (family, drop) => {
				const out = family.steps.map((s) => s.id).filter((id) => drop(id));
				const f = withoutLeftOut(family, out);
				const there = new Set(f.steps.map((s) => s.id));
				for (const s of f.steps) {
					expect(out).not.toContain(s.id);
					for (const e of s.next) expect(there.has(e.to)).toBe(true);
					expect(new Set(s.next.map((e) => e.to)).size).toBe(s.next.length);
					expect(s.easier === null || there.has(s.easier)).toBe(true);
				}
			})
		);
	});
});
