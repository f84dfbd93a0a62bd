/** Stepping up: the highest step that knee, fold and ankle allow, the foot swung over its edge. */
import type { StepUpPosture } from '../../exercise/step-posture.ts';
import { highestStepCm } from '../../posture/inverse-movements.ts';
import { stepUp } from '../../posture/step-up.ts';
import { framed } from '../drawing/drawn.ts';
import { asked, jointMoments, type Movement, SQUAT_AXES, within } from '../movement.ts';
import { SETUP_LENGTHS } from '../set-up-length.ts';
import { framesOfStepUp } from './frames.ts';
import { lowestStep, stepSetup } from './steps-here.ts';

/** Extra knee bend while the foot swings over a step's edge, degrees. @source common-practice 20–25° */
export const SWING_CLEARANCE = 20;

const loadOf = ({ load }: StepUpPosture) => (load === undefined ? {} : { load });

export const STEP_UP: Movement<StepUpPosture> = {
	axes: () => SQUAT_AXES,
	oneSided: () => true,
	byTechnique: false,
	length: () => 'stepCm',
	usual: ({ stepCm }) => ({ stepCm }),
	asks: ({ p, ctx: { body }, setup }) => {
		const q = stepUp({
			body,
			stepCm: setup?.stepCm ?? p.stepCm,
			swingClearanceDeg: SWING_CLEARANCE,
			...loadOf(p)
		});
		return asked(q.demand, jointMoments(q.moments), q.checks);
	},
	hardest: ({ p, ctx, limits, run }) =>
		stepSetup(
			run(() => highestStepCm({ body: ctx.body, limits, swingClearanceDeg: SWING_CLEARANCE, ...loadOf(p) })),
			p.stepCm,
			ctx
		),
	gentlest: ({ p, ctx }) => stepSetup(lowestStep(ctx), p.stepCm, ctx),
	unended: (p) => ({ ...p, stepCm: SETUP_LENGTHS.stepCm.possible[1] }),
	picture: (at, limiting) => framed(at.ctx.body, framesOfStepUp(at), limiting),
	faults: (p) => within('step', p.stepCm, SETUP_LENGTHS.stepCm.possible, 'cm')
};
