/** The sideways step-up of a client, and the rise on momentum: what binds each. */
import { expect, it } from 'vitest';
import { findStep } from '#lib/catalogue/families.ts';
import { bodyOf } from '../../body/body.ts';
import type { Step } from '../../exercise/family.ts';
import { liftedKneeDeg } from '../../posture/lateral-step-up.ts';
import type { FitContext } from '../context.ts';
import { techniqueFor } from '../squat/stand.ts';
import { SWING_CLEARANCE } from '../step-up/movement.ts';
import { LATERAL_STEP_UP } from './movement.ts';

const built = bodyOf({ heightCm: 170, massKg: 70 });
if (!built.ok) throw new Error(built.refusal.message);
const body = built.value;
const ctx: FitContext = {
	body,
	rules: { base: 'tolerable', marginDeg: 5, loadedMarginDeg: 10, staleDays: 28 },
	today: '2026-03-12',
	envelope: {}
};
const step = findStep('lateral-step-up')?.step as Step;
const p = { movement: 'lateral-step-up', stepCm: 15 } as const;
const lifted = (cm: number): number => liftedKneeDeg(body, cm, SWING_CLEARANCE);

it('the knee is asked for the foot that is lifted onto the step, where that bends it more than taking the weight', () => {
	const { demand } = LATERAL_STEP_UP.asks({ step, p, ctx, setup: { stepCm: 15 }, bounds: [] });
	expect(demand.kneeFlexion).toBeCloseTo(lifted(15), 6);
	const least = LATERAL_STEP_UP.least?.({ step, p, ctx, setup: { stepCm: 15 }, bounds: [] });
	expect(least?.kneeFlexion).toBeCloseTo(lifted(15), 6);
});

it('a knee that is short ends the step where the foot can no longer be lifted onto it', () => {
	const most = (kneeFlexionDeg: number): number | undefined =>
		LATERAL_STEP_UP.hardest?.({
			...{ step, p, ctx, limits: { kneeFlexionDeg }, rearLimits: {} },
			run: (work: () => number) => work()
		})?.stepCm;
	const cm = most(80) ?? 0;
	expect(cm).toBeGreaterThan(2);
	expect(lifted(cm)).toBeLessThanOrEqual(80);
	expect(lifted(cm + 1)).toBeGreaterThan(80);
	expect(most(140)).toBe(15);
});

it('a rise on momentum is done as it is, whatever is taught; another everyday rise is taught', () => {
	const of = (id: string) => techniqueFor(findStep(id)?.step as Step, 'parallel', true);
	expect([of('momentum-rise'), of('loaded-momentum-rise'), of('raised-seat')]).toEqual([
		undefined,
		undefined,
		'parallel'
	]);
});
