/** A step, as fitted, drawn: the posture and figure of its set-up. */
import type { Axis } from '#lib/core/body/axis.ts';
import type { Step } from '#lib/core/exercise/family.ts';
import { figureOf, type Figure } from '#lib/core/figure/figure.ts';
import { ankleCap, depthFor, limitsFor, solverLimits, standAt, type FitContext, type SolvedSetup } from '#lib/core/fit/fit.ts';
import { posture, type Posture } from '#lib/core/posture/posture.ts';
import { defaultArms } from '#lib/core/posture/upper-body.ts';

export function postureOfStep(step: Step, ctx: FitContext, setup: SolvedSetup | null): Posture {
	const stand = standAt(step, ctx, setup);
	return posture({ ...stand, depth: depthFor(step, setup), limits: ankleCap(solverLimits(limitsFor(step, ctx), stand, true)) });
}

export function figureOfStep(step: Step, ctx: FitContext, setup: SolvedSetup | null, limiting: readonly Axis[] = []): { posture: Posture; figure: Figure } {
	const p = postureOfStep(step, ctx, setup);
	const depth = depthFor(step, setup);
	const seat = 'seatCm' in depth;
	const { load, stance, movement } = step.posture;
	const held = step.dials.support === 'two-hands';
	const arms = defaultArms(movement, seat, load);
	const figure = figureOf({
		body: ctx.body,
		posture: p,
		arms: arms === 'hang' && !held && load === undefined ? 'forward' : arms,
		stance,
		held,
		limiting,
		...(seat ? { seatCm: depth.seatCm } : {}),
		...(load === undefined ? {} : { load })
	});
	return { posture: p, figure };
}
