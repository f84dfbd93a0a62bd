/** The set-up of a prescription: as it was typed, or as solved for what is chosen inside the step. */
import { asChosen } from '#lib/core/exercise/choice.ts';
import type { Step } from '#lib/core/exercise/family.ts';
import { fitStep } from '#lib/core/fit/fit.ts';
import { setupFor } from '#lib/core/fit/gentler.ts';
import { type FitContext, lengthIn, type SolvedSetup } from '#lib/core/movement/context.ts';
import { lengthOf } from '#lib/core/movement/of-step.ts';

/** Undefined where a choice is named that the step has not. */
export function setupGiven(
	step: Step,
	given: SolvedSetup | undefined,
	fit: FitContext
): SolvedSetup | undefined {
	const { chosen: wanted, ...typed } = given ?? {};
	const known = Object.entries(wanted ?? {}).every(([id, place]) =>
		step.choices?.some((c) => c.id === id && c.of.some((x) => x.id === place))
	);
	if (!known) return undefined;
	const as = asChosen(step, wanted);
	const solved = given === undefined || (lengthIn(typed) === null && lengthOf(step.posture) !== null);
	if (solved) return setupFor(as, fitStep(as, fit), fit.body);
	return as.chosen === undefined ? typed : { ...typed, chosen: as.chosen };
}
