/**
 * A movement that is feared begins at its smallest step, and climbs by confidence: what is farther is closed until the ladder was begun, however
 * well the body could do it. From then on the streak asks for confidence, whatever the policy.
 * @source common-practice graded exposure: smallest feared step first
 */
import type { ExerciseFamily, Step } from '../exercise/family.ts';
import { fitSteps } from '../fit/fit.ts';
import { passes } from '../fit/open.ts';
import type { FitContext } from '../movement/context.ts';

/** The smallest step of a ladder that body and room allow, whatever its gates, which close it for themselves; undefined where there is none. */
export function smallestStep(family: ExerciseFamily, ctx: FitContext): Step | undefined {
	const first = fitSteps(family.steps, ctx).find(passes);
	return family.steps.find((s) => s.id === first?.step);
}

/** The step that a feared ladder begins with, where the wanted one lies farther and nothing of it was given yet. */
export function beginsSmaller(
	family: ExerciseFamily,
	step: Step,
	reached: string | undefined,
	ctx: FitContext
): Step | undefined {
	if (reached !== undefined) return undefined;
	const first = smallestStep(family, ctx);
	if (first === undefined) return undefined;
	return family.steps.indexOf(step) > family.steps.indexOf(first) ? first : undefined;
}
