/** A step, as fitted, drawn: the figure of its set-up at the hard point, and its picture for one that moves. */
import type { Axis } from '#lib/core/body/axis.ts';
import type { Step } from '#lib/core/exercise/family.ts';
import type { Figure } from '#lib/core/figure/shape.ts';
import type { FitContext, SolvedSetup } from '#lib/core/movement/context.ts';
import { pictureOf, type Picture } from '#lib/core/fit/picture.ts';

export const figureOfStep = (
	step: Step,
	ctx: FitContext,
	setup: SolvedSetup | null,
	limiting: readonly Axis[] = []
): Figure => pictureOf(step, ctx, setup, limiting).at(1);

export const movingOfStep = (
	step: Step,
	ctx: FitContext,
	setup: SolvedSetup | null,
	limiting: readonly Axis[] = []
): Picture => pictureOf(step, ctx, setup, limiting);
