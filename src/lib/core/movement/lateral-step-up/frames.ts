/** Stepping up sideways, from the top of the step back to the foot beside it. */
import type { LateralStepUpPosture } from '../../exercise/step-posture.ts';
import { followingLegM, FOLLOWING_LINE_DEG, takingWeight } from '../../posture/lateral-step-up.ts';
import type { FrameAt } from '../drawing/frame.ts';
import type { At } from '../movement.ts';
import { framesOverEdge } from '../step-down/frames.ts';
import { problemOf } from './problem.ts';

export const framesOfLateralStepUp = (at: At<LateralStepUpPosture>): FrameAt =>
	framesOverEdge(at, (cm) => takingWeight(problemOf(at, cm)), {
		legM: followingLegM(at.ctx.body),
		aheadDeg: FOLLOWING_LINE_DEG,
		flat: true
	});
