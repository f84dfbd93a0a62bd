/**
 * The places of a step's choices that fit a client, the other choices as they stand; and of each ranked choice the hardest that does. What is chosen is never
 * changed by it: it says how far one could go.
 */
import { asChosen, asWritten, placeOf } from '../exercise/choice.ts';
import type { Choice, Place, Step } from '../exercise/family.ts';
import type { FitContext } from '../movement/context.ts';
import { fitStep } from './fit.ts';
import { passes } from './open.ts';

export interface PlacesFit {
	readonly choice: Choice;
	/** Ids of the places that fit. */
	readonly fits: ReadonlySet<string>;
	/** The hardest that fits; undefined where none does, or where the choice is free. */
	readonly best: string | undefined;
	/** The best, where it is harder than what is chosen now. */
	readonly farther: Place | undefined;
}

/** @param step as it is chosen now */
export const placesThatFit = (step: Step, ctx: FitContext): readonly PlacesFit[] =>
	(step.choices ?? []).map((choice) => {
		const fitting = choice.of.filter((place) =>
			passes(fitStep(asChosen(asWritten(step), { ...step.chosen, [choice.id]: place.id }), ctx))
		);
		const best = choice.ranked ? fitting.at(-1) : undefined;
		const now = choice.of.indexOf(placeOf(choice, step.chosen));
		return {
			choice,
			fits: new Set(fitting.map((p) => p.id)),
			best: best?.id,
			farther: best !== undefined && choice.of.indexOf(best) > now ? best : undefined
		};
	});
