/**
 * One notch gentler on the length of a step as it is set up: the seat up by what the room can build, the squat shallower, the step
 * lower, the handle higher, the sled or the feet farther; or the easier step.
 */
import type { Body } from '../body/body.ts';
import type { Step } from '../exercise/family.ts';
import type { Dial } from '../exercise/dial.ts';
import { lengthIn, type FitContext, type SolvedSetup } from '../movement/context.ts';
import { fitStep, type StepFit } from './fit.ts';
import { buildSeat } from '../movement/furniture.ts';
import { lengthKind } from '../movement/set-up-length.ts';
import { usualSetup } from '../movement/of-step.ts';

export interface GentlerNotch {
	readonly dial: Dial;
	readonly to: string | number;
	readonly step?: string;
	readonly setup: SolvedSetup;
}

/** The set-up a step is given in: as solved, else as it is usual for this body. */
export const setupFor = (step: Step, fit: StepFit, body: Body): SolvedSetup =>
	fit.setup ?? usualSetup(step, body);

export function gentlerNotches(
	setup: SolvedSetup | null,
	easier: Step | undefined,
	ctx: FitContext
): readonly GentlerNotch[] {
	const out: GentlerNotch[] = [];
	const length = lengthIn(setup);
	if (setup !== null && length !== null) {
		const { by, dial, last } = lengthKind(length.of).notch;
		const wanted = length.value + by;
		if (length.harder > 0 ? wanted >= last : wanted <= last) {
			const { build: _, ...rest } = setup;
			const build =
				length.of === 'seatCm' && ctx.furniture !== undefined ? buildSeat(wanted, ctx.furniture) : undefined;
			const built = build !== undefined && build.short === 0;
			const to = built ? build.reaches : wanted;
			out.push({ dial, to, setup: { ...rest, [length.of]: to, ...(built ? { build } : {}) } });
		}
	}
	if (easier !== undefined)
		out.push({
			dial: 'support',
			to: easier.id,
			step: easier.id,
			setup: setupFor(easier, fitStep(easier, ctx), ctx.body)
		});
	return out;
}
