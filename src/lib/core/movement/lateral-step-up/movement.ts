/** Stepping up sideways: the leg on the step is a one-leg squat, after its foot was lifted onto it. */
import type { LateralStepUpPosture } from '../../exercise/step-posture.ts';
import { highestStepDownInBand, leastInBand } from '../../posture/inverse-in-band.ts';
import {
	asStepDown,
	type LateralStepUpProblem,
	liftedKneeDeg,
	takingWeight
} from '../../posture/lateral-step-up.ts';
import { framed } from '../drawing/drawn.ts';
import { type Asked, type At, type Inside, type Movement, type Of, SQUAT_AXES, within } from '../movement.ts';
import { SETUP_LENGTHS } from '../set-up-length.ts';
import { askedOfSquat } from '../squat/movement.ts';
import { SWING_CLEARANCE } from '../step-up/movement.ts';
import { lowestStep, stepSetup } from '../step-up/steps-here.ts';
import { framesOfLateralStepUp } from './frames.ts';
import { problemOf } from './problem.ts';

type Own = Of<LateralStepUpPosture>;

const problemAt = (at: At<LateralStepUpPosture>): LateralStepUpProblem =>
	problemOf(at, at.setup?.stepCm ?? at.p.stepCm);

const lifted = ({ ctx }: Own, stepCm: number): number => liftedKneeDeg(ctx.body, stepCm, SWING_CLEARANCE);

function asks(at: At<LateralStepUpPosture>): Asked {
	const problem = problemAt(at);
	const taking = askedOfSquat(takingWeight(problem), at.bounds);
	const knee = Math.max(taking.demand.kneeFlexion ?? 0, lifted(at, problem.stepCm));
	return { ...taking, demand: { ...taking.demand, kneeFlexion: knee } };
}

/** The highest whole centimetre that both taking the weight and lifting the foot onto it leave. */
function highestCm(inside: Inside<LateralStepUpPosture>): number {
	const { p, limits } = inside;
	const { stepCm: _, ...problem } = asStepDown(problemOf(inside, p.stepCm));
	let cm = highestStepDownInBand({ ...problem, limits }, p.stepCm);
	const most = limits.kneeFlexionDeg ?? Infinity;
	while (cm > 0 && lifted(inside, cm) > most) cm--;
	return cm;
}

export const LATERAL_STEP_UP: Movement<LateralStepUpPosture> = {
	axes: () => SQUAT_AXES,
	oneSided: () => true,
	byTechnique: true,
	length: () => 'stepCm',
	usual: ({ stepCm, heelWedgeCm }) => ({ stepCm, ...(heelWedgeCm === undefined ? {} : { heelWedgeCm }) }),
	asks,
	least: (at) => {
		const problem = problemAt(at);
		const least = leastInBand(takingWeight(problem));
		if (least === null) return null;
		return { ...least, kneeFlexion: Math.max(least.kneeFlexion ?? 0, lifted(at, problem.stepCm)) };
	},
	hardest: (inside) =>
		stepSetup(
			inside.run(() => highestCm(inside)),
			inside.p.stepCm,
			inside.ctx
		),
	gentlest: ({ p, ctx }) => stepSetup(lowestStep(ctx), p.stepCm, ctx),
	unended: (p) => ({ ...p, stepCm: SETUP_LENGTHS.stepCm.possible[1] }),
	picture: (at, limiting) => framed(at.ctx.body, framesOfLateralStepUp(at), limiting),
	faults: (p) => within('step', p.stepCm, SETUP_LENGTHS.stepCm.possible, 'cm')
};
