/** Stepping down: a squat of the leg on the edge, the free foot to the floor. */
import type { StepDownPosture } from '../../exercise/step-posture.ts';
import { highestStepDownInBand, leastInBand } from '../../posture/inverse-in-band.ts';
import { asSquat, type StepDownProblem } from '../../posture/step-down.ts';
import type { SolvedSetup } from '../context.ts';
import { framed } from '../drawing/drawn.ts';
import { type Movement, type Of, SQUAT_AXES, within } from '../movement.ts';
import { SETUP_LENGTHS } from '../set-up-length.ts';
import { askedOfSquat } from '../squat/movement.ts';
import { lowestStep, stepSetup } from '../step-up/steps-here.ts';
import { stepDownOf } from './problem.ts';
import { framesOfStepDown } from './frames.ts';

const problem = ({ step, p, ctx }: Of<StepDownPosture>, setup: SolvedSetup | null): StepDownProblem =>
	stepDownOf(step, p, ctx, setup);

export const STEP_DOWN: Movement<StepDownPosture> = {
	axes: () => SQUAT_AXES,
	oneSided: () => true,
	byTechnique: true,
	length: () => 'stepCm',
	usual: ({ stepCm, heelWedgeCm }) => ({ stepCm, ...(heelWedgeCm === undefined ? {} : { heelWedgeCm }) }),
	asks: (at) => askedOfSquat(asSquat(problem(at, at.setup)), at.bounds),
	least: (at) => leastInBand(asSquat(problem(at, at.setup))),
	hardest: (inside) =>
		stepSetup(
			inside.run(() =>
				highestStepDownInBand({ ...problem(inside, null), limits: inside.limits }, inside.p.stepCm)
			),
			inside.p.stepCm,
			inside.ctx
		),
	gentlest: ({ p, ctx }) => stepSetup(lowestStep(ctx), p.stepCm, ctx),
	unended: (p) => ({ ...p, stepCm: SETUP_LENGTHS.stepCm.possible[1] }),
	picture: (at, limiting) => framed(at.ctx.body, framesOfStepDown(at), limiting),
	faults: (p) => within('step', p.stepCm, SETUP_LENGTHS.stepCm.possible, 'cm')
};
