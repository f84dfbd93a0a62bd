/**
 * A hinge of any depth for a sore back. With nothing in the hands the bow itself is solved. Facts of the trade, common practice: a back that lets go of
 * 20° has a hinge; more bow never closes one; what must be picked up from low is not made shallower by bowing less.
 */
import { describe, expect, it } from 'vitest';
import { FAMILIES } from '../../catalogue/families.ts';
import { bodyOf } from '../body/body.ts';
import type { FitContext, SolvedSetup } from '../movement/context.ts';
import { askedBy, lengthOf, usualLength } from '../movement/of-step.ts';
import { handAtBowCm, hinge } from '../posture/hinge.ts';
import { both, context, envelope, facts, given, range } from '../../../../tests/standing.ts';
import { standing } from '../safety/standing.ts';
import { fitFamily, fitStep, shortAt } from './fit.ts';
import { passes } from './open.ts';

const HINGES = FAMILIES.hinge!;
const bowing = (deg: number, heightCm = 168): FitContext => {
	const body = bodyOf({ heightCm, massKg: 70 });
	if (!body.ok) throw new Error('body');
	return context({
		body: body.value,
		envelope: { ...envelope(), forwardBow: both({ ...range(deg), loaded: false }) }
	});
};
const open = (deg: number, heightCm?: number): readonly string[] =>
	fitFamily(HINGES, bowing(deg, heightCm))
		.filter(passes)
		.map((f) => f.step);

describe('a back that bows a few degrees', () => {
	it.each([150, 168, 195])('20°: never 0 of 12, at %i cm', (heightCm) => {
		expect(HINGES.steps.length).toBeGreaterThanOrEqual(12);
		expect(open(20, heightCm)).toEqual(
			expect.arrayContaining(['seated-hinge', 'hands-on-thighs-hinge', 'free-hinge', 'straight-knee-hinge'])
		);
		expect(open(20, heightCm)).not.toContain('low-handle-deadlift');
	});
	it('is given a bow inside what it lets, in whole degrees; the gentlest is 10°', () => {
		const ctx = bowing(30);
		const step = HINGES.steps.find((s) => s.id === 'free-hinge')!;
		const fit = fitStep(step, ctx);
		expect(fit.verdict).toBe('set-up');
		const bow = fit.setup?.bowDeg ?? NaN;
		expect(Number.isInteger(bow)).toBe(true);
		// 30° less the margin of 5° and the model's own 3°.
		expect(bow).toBe(22);
		expect(shortAt(step, ctx, fit.setup)).toEqual([]);
		expect(shortAt(step, ctx, { bowDeg: bow + 5 })[0]?.axis).toBe('forwardBow');
		expect(fitStep(step, bowing(12)).verdict).toBe('blocked');
	});
	it('more bow opens no less, and asks no more than it lets', () => {
		for (let deg = 15; deg < 100; deg += 5) {
			const [less, more] = [open(deg), open(deg + 5)];
			for (const s of less) expect(more, `${s} at ${deg + 5}°`).toContain(s);
		}
	});
	it('bends the knees less the less it bows, and never asks more of any range', () => {
		const ctx = bowing(90);
		for (const s of HINGES.steps.filter((x) => lengthOf(x.posture) === 'bowDeg')) {
			let before = askedBy(s, ctx, { bowDeg: 10 }).demand;
			for (let bowDeg = 15; bowDeg <= (usualLength(s, ctx.body) ?? 0); bowDeg += 5) {
				const now = askedBy(s, ctx, { bowDeg }).demand;
				for (const axis of ['kneeFlexion', 'thighTrunkFlexion', 'straightLegRaise', 'forwardBow'] as const)
					expect(now[axis] ?? NaN, `${s.id} ${axis} ${bowDeg}°`).toBeGreaterThanOrEqual(
						(before[axis] ?? NaN) - 1e-6
					);
				before = now;
			}
		}
	});
	it('the hand of a bow is the handle that gives that bow', () => {
		const { body } = bowing(90);
		for (const [lean, kneeDeg] of [
			[12, 10],
			[30, 20],
			[55, 20],
			[70, 3]
		] as const) {
			const handleCm = handAtBowCm({ body }, lean, kneeDeg);
			expect(hinge({ body, handleCm, close: { kneeDeg } }).angles.trunkLean).toBeCloseTo(lean, 3);
		}
	});
	it('a shorter bow than before suspends it, unless it was seen since: by its bow, not by a handle', () => {
		const step = HINGES.steps.find((s) => s.id === 'free-hinge')!;
		const short = { ...range(25, '2026-03-10'), loaded: false };
		const at = (setup?: SolvedSetup) =>
			standing(
				given({ family: HINGES, step, setup: { bowDeg: 45 }, since: '2026-03-05' }),
				facts(
					context({
						envelope: { ...envelope(), forwardBow: both(short) },
						...(setup === undefined ? {} : { observed: [{ step: step.id, setup, date: '2026-03-11' }] })
					})
				)
			).breaks.map((b) => b.axis);
		expect(at()).toContain('forwardBow');
		expect(at({ bowDeg: 50 })).not.toContain('forwardBow');
		expect(at({ bowDeg: 40 })).toContain('forwardBow');
		expect(at({ handleCm: 20 })).toContain('forwardBow');
	});
	it('a bow that was never measured closes nothing; one by protocol does', () => {
		const free = context();
		expect(fitFamily(HINGES, free).filter(passes)).toHaveLength(HINGES.steps.length);
		const held = context({
			protocolLimits: [
				{ axis: 'forwardBow', side: 'left', maxDeg: 5 },
				{ axis: 'forwardBow', side: 'right', maxDeg: 5 }
			]
		});
		// Setting the arms bows nothing.
		expect(
			fitFamily(HINGES, held)
				.filter(passes)
				.map((f) => f.step)
		).toEqual(['arm-set']);
	});
});
