/**
 * The picture of any step for a body, in a set-up: points, furniture and labels at every moment between the easy end (t = 0) and the
 * hard point (t = 1), by solving the in-between set-ups where the movement is solved and by turning limbs where it is posed. The same
 * figure on the ladder, the card, the library and the print.
 */
import type { Axis } from '../body/axis.ts';
import { asChosen } from '../exercise/choice.ts';
import type { Step } from '../exercise/family.ts';
import type { FitContext, SolvedSetup } from '../movement/context.ts';
import type { Picture } from '../movement/drawing/drawn.ts';
import { movementOf } from '../movement/movements.ts';
import { posePicture } from '../movement/pose/picture.ts';
import { boundsOf } from './limits-for.ts';

export type { Picture } from '../movement/drawing/drawn.ts';

export function pictureOf(
	written: Step,
	ctx: FitContext,
	setup: SolvedSetup | null,
	limiting: readonly Axis[] = []
): Picture {
	const step = asChosen(written, setup?.chosen);
	const { posture: p, drawn } = step;
	return drawn === undefined
		? movementOf(p).picture({ step, p, ctx, setup, bounds: boundsOf(step, ctx) }, limiting)
		: posePicture(ctx.body, drawn, p.load?.kg, limiting);
}
