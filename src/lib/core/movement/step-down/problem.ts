/** The step-down of a step in a set-up. */
import type { Step } from '../../exercise/family.ts';
import type { StepDownPosture } from '../../exercise/step-posture.ts';
import type { StepDownProblem } from '../../posture/step-down.ts';
import type { FitContext, SolvedSetup } from '../context.ts';
import { techniqueFor } from '../squat/stand.ts';

export const stepDownOf = (
	step: Step,
	p: StepDownPosture,
	ctx: FitContext,
	setup: SolvedSetup | null
): StepDownProblem => ({
	body: ctx.body,
	stepCm: setup?.stepCm ?? p.stepCm,
	technique: techniqueFor(step, ctx.technique, ctx.teach) ?? 'parallel',
	freeLegDeg: p.freeLegDeg,
	...(p.heelWedgeCm === undefined ? {} : { heelWedgeCm: p.heelWedgeCm }),
	...(p.load === undefined ? {} : { load: p.load })
});
