/**
 * Which steps are open to a client: the body and the room allow it, and its gates are met or it lies no further than the step that was
 * reached. Gates are for what lies ahead; a step that was passed or started from is not locked.
 */
import { stepOf, type ExerciseFamily, type Step } from '../exercise/family.ts';
import type { StepFit } from './fit.ts';

/** A step with all that is known of it for this client. */
export interface Candidate {
	readonly family: ExerciseFamily;
	readonly step: Step;
	readonly fit: StepFit;
	/** All of its gates are met, or it was reached already. */
	readonly open: boolean;
}

/** Body and room allow it, as it stands or set up. */
export const passes = (fit: StepFit): boolean =>
	fit.verdict === 'fits' || fit.verdict === 'set-up' || fit.verdict === 'watch';

/** The fitted steps of a family with whether their gates hold them back; `reached` is the step that is prescribed now. */
export function candidatesOf(
	family: ExerciseFamily,
	fits: readonly StepFit[],
	reached: string | undefined,
	gatesMet: (step: string) => boolean
): readonly Candidate[] {
	const far = family.steps.findIndex((s) => s.id === reached);
	return fits.flatMap((fit): Candidate[] => {
		const step = stepOf(family, fit.step);
		return step === undefined
			? []
			: [{ family, step, fit, open: family.steps.indexOf(step) <= far || gatesMet(step.id) }];
	});
}

/** Can be given today. */
export const isOpen = (c: Candidate): boolean => c.open && passes(c.fit);
