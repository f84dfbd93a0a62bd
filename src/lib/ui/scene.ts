/** A step, as fitted, drawn: the figure of its set-up at the hard point, and its picture for one that moves. */
import type { Axis } from '#lib/core/body/axis.ts';
import type { Step } from '#lib/core/exercise/family.ts';
import type { Figure } from '#lib/core/figure/shape.ts';
import type { FitContext, SolvedSetup } from '#lib/core/movement/context.ts';
import { pictureOf, type Picture } from '#lib/core/fit/picture.ts';

interface Drawn {
	readonly as: string;
	readonly figure: Figure;
}
const known = new WeakMap<FitContext, WeakMap<Step, Drawn>>();

/** A list draws the same steps at each reading: the last set-up of each is kept with its context. */
export function figureOfStep(
	step: Step,
	ctx: FitContext,
	setup: SolvedSetup | null,
	limiting: readonly Axis[] = []
): Figure {
	const ofContext = known.get(ctx) ?? new WeakMap<Step, Drawn>();
	known.set(ctx, ofContext);
	const as = JSON.stringify([setup, limiting]);
	const last = ofContext.get(step);
	if (last?.as === as) return last.figure;
	const figure = pictureOf(step, ctx, setup, limiting).at(1);
	ofContext.set(step, { as, figure });
	return figure;
}

export const movingOfStep = (
	step: Step,
	ctx: FitContext,
	setup: SolvedSetup | null,
	limiting: readonly Axis[] = []
): Picture => pictureOf(step, ctx, setup, limiting);
