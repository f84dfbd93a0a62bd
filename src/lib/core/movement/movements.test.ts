/** What every row of the table of movements keeps to, over every step of the catalogue. Source: the interface itself; bodies 150 to 195 cm. */
import { describe, expect, it } from 'vitest';
import { FAMILIES } from '../../catalogue/families.ts';
import { POLICIES } from '../../catalogue/policies.ts';
import { type Body, bodyOf } from '../body/body.ts';
import { fitRulesOf } from '../decision/policy.ts';
import { type FitContext, lengthIn } from './context.ts';
import { movementOf, MOVEMENTS } from './movements.ts';
import { axesOf, lengthOf, usualSetup } from './of-step.ts';
import { LENGTHS, SETUP_LENGTHS } from './set-up-length.ts';

const STEPS = Object.values(FAMILIES).flatMap((f) => f.steps);
function body(heightCm: number): Body {
	const b = bodyOf({ heightCm, massKg: 70 });
	if (!b.ok) throw new Error(b.refusal.message);
	return b.value;
}
const context = (heightCm: number): FitContext => ({
	body: body(heightCm),
	rules: fitRulesOf(POLICIES['pain-monitored']),
	today: '2026-03-06',
	envelope: {}
});
const run = (work: () => number): number => work();

describe('a row of the table', () => {
	it('is used by a step of the catalogue', () => {
		const used = new Set(STEPS.map((s) => s.posture.movement));
		expect([...used].sort()).toEqual(Object.keys(MOVEMENTS).sort());
	});
	it('solves the length it names, inside the bounds of that length, for any body', () => {
		for (const step of STEPS)
			for (const heightCm of [150, 170, 195]) {
				const ctx = context(heightCm);
				const { posture: p } = step;
				const movement = movementOf(p);
				const own = lengthOf(p);
				const free = { step, p, ctx, limits: {}, rearLimits: {}, run };
				const solved = lengthIn(movement.hardest?.(free));
				const gentlest = lengthIn(movement.gentlest?.({ step, p, ctx }));
				if (own === null) {
					expect(movement.hardest, step.id).toBeUndefined();
					continue;
				}
				const [low, high] = SETUP_LENGTHS[own].possible;
				expect(solved?.of, step.id).toBe(own);
				for (const found of [solved, gentlest, lengthIn(usualSetup(step, ctx.body))]) {
					if (found === null || found.of !== own) continue;
					expect(found.value, `${step.id} at ${heightCm} cm`).toBeGreaterThanOrEqual(low);
					expect(found.value, `${step.id} at ${heightCm} cm`).toBeLessThanOrEqual(high);
				}
				if (solved !== null && gentlest !== null)
					expect((solved.value - gentlest.value) * solved.harder, step.id).toBeGreaterThanOrEqual(0);
			}
	});
	it('goes further without its usual end, never less far', () => {
		for (const step of STEPS) {
			const { posture: p } = step;
			const movement = movementOf(p);
			if (movement.unended === undefined) continue;
			const ctx = context(170);
			const hardest = (q: typeof p) =>
				lengthIn(
					movement.hardest?.({ step: { ...step, posture: q }, p: q, ctx, limits: {}, rearLimits: {}, run })
				);
			const [asGiven, far] = [hardest(p), hardest(movement.unended(p))];
			if (asGiven === null) throw new Error(step.id);
			expect(((far?.value ?? NaN) - asGiven.value) * asGiven.harder, step.id).toBeGreaterThanOrEqual(0);
		}
	});
	it('names every axis it asks', () => {
		for (const step of STEPS.filter((s) => s.needs === undefined)) {
			const { posture: p } = step;
			const { demand, other } = movementOf(p).asks({ step, p, ctx: context(170), setup: null, bounds: [] });
			for (const axis of [...Object.keys(demand), ...Object.keys(other ?? {})])
				expect(axesOf(step), step.id).toContain(axis);
		}
	});
});

describe('lengths of a set-up', () => {
	it('slide, notch and begin inside what can be typed', () => {
		for (const of of LENGTHS) {
			const { possible, slider, notch, harder } = SETUP_LENGTHS[of];
			const [low, high] = possible;
			for (const n of [...slider, notch.last]) {
				expect(n, of).toBeGreaterThanOrEqual(low);
				expect(n, of).toBeLessThanOrEqual(high);
			}
			expect(Math.sign(notch.by), of).toBe(-harder);
		}
	});
});
