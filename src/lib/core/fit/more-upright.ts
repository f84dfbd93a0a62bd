/** How much more upright the shank of a squat or step-down stands for a client than it is taught, whole degrees; 0 where it stands as taught. */
import { asChosen } from '../exercise/choice.ts';
import type { Step } from '../exercise/family.ts';
import { askedBy } from '../movement/of-step.ts';
import type { FitContext, SolvedSetup } from '../movement/context.ts';
import { boundsOf } from './limits-for.ts';
import { isSquatStep } from '../movement/squat/stand.ts';

export function moreUprightDeg(written: Step, ctx: FitContext, setup: SolvedSetup | null): number {
	const step = asChosen(written, setup?.chosen);
	const { movement } = step.posture;
	if (!isSquatStep(step) && movement !== 'step-down' && movement !== 'lateral-step-up') return 0;
	const shank = (bounds: Parameters<typeof askedBy>[3]): number =>
		askedBy(step, ctx, setup, bounds).demand.weightBearingDorsiflexion ?? 0;
	return Math.max(0, Math.round(shank([]) - shank(boundsOf(step, ctx))));
}
