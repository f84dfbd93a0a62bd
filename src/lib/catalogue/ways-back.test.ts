/** Ways back: rows that name steps there are, and lead where the trade says. Common practice. */
import { describe, expect, it } from 'vitest';
import { laddersWithout } from '../core/exercise/left-out.ts';
import { stepAnywhere, type Step } from '../core/exercise/family.ts';
import { waysBack, type BackTo } from '../core/fit/gentler.ts';
import { nobody } from '../core/fit/stands.ts';
import { validateFamily } from '../core/movement/validate-family.ts';
import { backText } from '../wording/steps.ts';
import { FAMILIES, findStep } from './families.ts';
import { WAYS_BACK } from './ways-back.ts';

const ctx = nobody();
const step = (id: string): Step => findStep(id)!.step;
const find = (id: string): BackTo | undefined => {
	const found = findStep(id);
	return found === undefined ? undefined : { step: found.step, family: found.family.id };
};
const back = (id: string, frontOfKnee: boolean, look = find) =>
	waysBack(step(id), { technique: undefined, frontOfKnee }, look, ctx).map((n) => n.step ?? '');

describe('ways back', () => {
	it('name steps there are, and stand with their step', () => {
		for (const { steps, back: b } of WAYS_BACK) {
			expect(findStep(b.to), b.to).toBeDefined();
			for (const id of steps) expect(findStep(id)?.step.back, id).toContain(b);
		}
	});
	it('a sore side lunge goes to the held one, and nowhere with bent toes', () => {
		for (const id of ['side-lunge', 'goblet-side-lunge']) {
			expect(back(id, false)).toEqual(['held-side-lunge']);
			for (const to of back(id, false)) expect(step(to).tags).not.toContain('toes-bent');
		}
	});
	it('the long arc goes to the short one; where the front of the knee is sore, to the middle', () => {
		expect(back('long-arc', false)).toEqual(['short-arc']);
		expect(back('long-arc', true)).toEqual(['mid-arc']);
	});
	it('who wobbles on the planted leg goes to balance, then to the calf', () => {
		const found = waysBack(
			step('standing-abduction'),
			{ technique: undefined, frontOfKnee: false },
			find,
			ctx
		);
		expect(found.map((n) => [n.to, n.family, n.causes])).toEqual([
			['single-leg-stance', 'balance', ['wobble']],
			['heel-raise', 'calf', ['wobble']]
		]);
	});
	it('one that is left out for this client is passed over by name, and the next taken', () => {
		const ladders = laddersWithout(FAMILIES, ['single-leg-stance']);
		const look = (id: string): BackTo | undefined => {
			const found = stepAnywhere(ladders, id);
			return found === undefined ? undefined : { step: found };
		};
		expect(back('standing-abduction', false, look)).toEqual(['heel-raise']);
	});
	it('by technique: only where it is the one that is taught', () => {
		const at = (technique: 'stacked' | 'parallel') =>
			waysBack(step('free-squat'), { technique, frontOfKnee: false }, find, ctx).map((n) => n.to);
		expect([at('stacked'), at('parallel')]).toEqual([['stacked-short-squat'], []]);
	});
	it('one that leads nowhere, or forward, is refused with its place', () => {
		const squat = FAMILIES.squat!;
		const faults = (to: string): string =>
			validateFamily(
				{
					...squat,
					steps: squat.steps.map((s) => (s.id === 'free-squat' ? { ...s, back: [{ to }] } : s))
				},
				{
					sources: new Set(['common-practice', 'janssen-2002']),
					elsewhere: new Map(
						Object.values(FAMILIES)
							.filter((f) => f.id !== 'squat')
							.flatMap((f) => f.steps.map((s) => [s.id, s] as const))
					)
				}
			)
				.map((f) => `${f.place}: ${f.message}`)
				.join();
		expect(faults('nowhere')).toBe('squat/free-squat: way back to nowhere, which does not exist');
		expect(faults('goblet-squat')).toContain('stands no earlier on the ladder');
		expect(faults('free-squat')).toContain('stands no earlier on the ladder');
		expect(faults('raised-seat')).toBe('');
		expect(faults('heel-raise')).toBe('');
	});
	it('is said with when it suits', () => {
		expect(backText({ to: 'mid-arc', frontOfKnee: true })).toMatch(/^the front of the knee sore: /);
		expect(backText({ to: 'single-leg-stance', for: ['wobble'] })).toMatch(/^for a wobble: /);
		expect(backText({ to: 'free-squat', technique: 'stacked' })).toMatch(/^where stacked .*taught: /i);
	});
});
