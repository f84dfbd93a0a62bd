/** The split squat of a step in a set-up, done in the way that is given or first. */
import type { Step } from '../../exercise/family.ts';
import type { SplitPosture } from '../../exercise/step-posture.ts';
import type { Limits } from '../../posture/problem.ts';
import type { SplitSquatProblem } from '../../posture/split-squat.ts';
import type { FitContext, SolvedSetup } from '../context.ts';
import { techniqueFor } from '../squat/stand.ts';
import { firstWay } from './ways.ts';

export function splitOf(
	step: Step,
	p: SplitPosture,
	ctx: FitContext,
	setup: SolvedSetup | null,
	limits: Limits
): SplitSquatProblem {
	const thighDeg = setup?.thighDeg ?? p.thighDeg;
	const technique = techniqueFor(step, ctx.technique, ctx.teach) ?? 'parallel';
	const way = ctx.lunge ?? firstWay(ctx, technique);
	return {
		body: ctx.body,
		technique,
		limits,
		rearPitchDeg: way.rearPitchDeg,
		shankDeg: way.frontShankDeg,
		...(thighDeg === undefined ? {} : { thighDeg }),
		...(p.stride === undefined ? {} : { strideCm: 100 * p.stride * ctx.body.heightM }),
		...(p.frontElevationCm === undefined ? {} : { frontElevationCm: p.frontElevationCm }),
		...(p.load === undefined ? {} : { load: p.load })
	};
}
