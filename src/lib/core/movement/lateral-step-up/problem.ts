/** The sideways step-up of a step for a client. */
import type { LateralStepUpPosture } from '../../exercise/step-posture.ts';
import type { LateralStepUpProblem } from '../../posture/lateral-step-up.ts';
import type { Of } from '../movement.ts';
import { techniqueFor } from '../squat/stand.ts';

export const problemOf = (
	{ step, p, ctx }: Of<LateralStepUpPosture>,
	stepCm: number
): LateralStepUpProblem => ({
	body: ctx.body,
	stepCm,
	technique: techniqueFor(step, ctx.technique, ctx.teach) ?? 'parallel',
	...(p.heelWedgeCm === undefined ? {} : { heelWedgeCm: p.heelWedgeCm }),
	...(p.load === undefined ? {} : { load: p.load })
});
