/** Where a sore bend is begun: the position it hurts in, one step gentler (common practice). */
import { describe, expect, it } from 'vitest';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { bodyOf } from '../body/body.ts';
import type { ExerciseFamily } from '../exercise/family.ts';
import { withoutLeftOut } from '../exercise/left-out.ts';
import type { FitContext } from '../movement/context.ts';
import { fitStep } from './fit.ts';
import { setupFor } from './gentler.ts';
import { passes } from './open.ts';
import { enterSoreBend, isOfBending } from './sore-bend.ts';

const hinge = FAMILIES['hinge'] as ExerciseFamily;
const body = bodyOf({ heightCm: 168, massKg: 70 });
if (!body.ok) throw new Error('no body');
const TODAY = '2026-03-12';
const both = (tolerable: number) => {
	const range = { painFree: tolerable - 5, tolerable, end: tolerable + 5, date: TODAY, loaded: false };
	return { left: range, right: range };
};
const ctx: FitContext = {
	body: body.value,
	rules: { base: 'tolerable', marginDeg: 5, loadedMarginDeg: 10, staleDays: 28 },
	today: TODAY,
	envelope: {
		kneeFlexion: both(140),
		thighTrunkFlexion: both(125),
		weightBearingDorsiflexion: both(38),
		straightLegRaise: both(80),
		forwardBow: both(90)
	}
};
const enter = (at: string, when: 'early' | 'late', family = hinge) =>
	enterSoreBend(family, { at, when }, ctx);

describe('a sore bend', () => {
	it('early: one step gentler than where it hurts', () => {
		expect(enter('hands-on-thighs-hinge', 'early')).toMatchObject({
			step: 'seated-hinge',
			by: 'step-before'
		});
		expect(enter('wall-reach-hinge', 'early')).toMatchObject({ step: 'hands-on-thighs-hinge' });
		expect(enter('free-hinge', 'early')).toMatchObject({ step: 'wall-reach-hinge' });
	});
	it('late: the same position, stopped short of it', () => {
		const late = enter('free-hinge', 'late');
		expect(late).toMatchObject({ step: 'free-hinge', by: 'shorter' });
		const step = hinge.steps.find((s) => s.id === 'free-hinge')!;
		const usual = setupFor(step, fitStep(step, ctx), ctx.body);
		expect(late?.setup.bowDeg).toBeLessThan(usual.bowDeg ?? 0);
	});
	it('with a weight: the same bend without one, early or late', () => {
		for (const when of ['early', 'late'] as const)
			expect(enter('hinge-loaded', when)).toMatchObject({ step: 'free-hinge', by: 'step-before' });
	});
	it('at the first step there is nothing before it: the gentlest that fits', () => {
		expect(enter('seated-hinge', 'early')?.by).toBe('gentlest');
		expect(enter('nowhere', 'early')).toBeNull();
	});
	it('what is left out for the client is passed over', () => {
		const family = withoutLeftOut(hinge, ['wall-reach-hinge']);
		expect(enter('free-hinge', 'early', family)).toMatchObject({ step: 'hands-on-thighs-hinge' });
	});
	it('is asked on ladders of bending, and on no other', () => {
		expect(
			Object.values(FAMILIES)
				.filter(isOfBending)
				.map((f) => f.id)
		).toEqual(['hinge']);
	});
	it('whatever hurts, what is entered fits', () => {
		for (const s of hinge.steps)
			for (const when of ['early', 'late'] as const) {
				const entry = enter(s.id, when);
				const step = hinge.steps.find((x) => x.id === entry?.step);
				expect(step && passes(fitStep(step, ctx)), `${s.id} ${when}`).toBe(true);
			}
	});
});
