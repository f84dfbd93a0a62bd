/**
 * One notch gentler on the length of a step as it is set up: the seat up by what the room can build, the squat shallower, the step
 * lower, the handle higher, the sled or the feet farther; or the easier step.
 */
import type { Body } from '../body/body.ts';
import { asChosen, placeOf, turned } from '../exercise/choice.ts';
import type { Cause, Step } from '../exercise/family.ts';
import type { Dial } from '../exercise/dial.ts';
import { lengthIn, type FitContext, type SolvedSetup } from '../movement/context.ts';
import { fitStep, type StepFit } from './fit.ts';
import { buildSeat } from '../movement/furniture.ts';
import { lengthKind } from '../movement/set-up-length.ts';
import { usualSetup } from '../movement/of-step.ts';
import type { Technique } from '../posture/problem.ts';

/** A ranked choice turned one place. */
export interface TurnedNotch {
	readonly dial: Dial;
	readonly choice: string;
	readonly to: string;
	readonly setup: SolvedSetup;
	readonly before?: Dial;
}

export interface GentlerNotch {
	readonly dial: Dial;
	readonly to: string | number;
	/** The choice that is turned, where it is one. */
	readonly choice?: string;
	readonly step?: string;
	readonly family?: string;
	readonly causes?: readonly Cause[];
	readonly back?: true;
	readonly setup: SolvedSetup;
}

/** Each ranked choice one place harder or gentler, with the set-up that goes with it: what is solved stays as it is where it still can. */
export function turnedNotches(
	written: Step,
	setup: SolvedSetup | null,
	ctx: FitContext,
	by: 1 | -1
): readonly TurnedNotch[] {
	const step = asChosen(written, setup?.chosen);
	return (step.choices ?? []).flatMap((c): TurnedNotch[] => {
		const chosen = turned(step, c, by);
		if (chosen === undefined) return [];
		const as = asChosen(step, chosen);
		const { chosen: _, heelWedgeCm: __, ...kept } = setup ?? {};
		const { heelWedgeCm } = usualSetup(as, ctx.body);
		const to: SolvedSetup = { ...kept, ...(heelWedgeCm === undefined ? {} : { heelWedgeCm }) };
		return [
			{
				dial: c.dial,
				choice: c.id,
				to: placeOf(c, chosen).id,
				setup: withChosen(to, as),
				...(c.before === undefined ? {} : { before: c.before })
			}
		];
	});
}

/** The set-up a step is given in: as solved, else as it is usual for this body. */
export const setupFor = (step: Step, fit: StepFit, body: Body): SolvedSetup =>
	withChosen(fit.setup ?? usualSetup(step, body), step);

/** A set-up of a step as it is chosen says what was chosen. */
const withChosen = (setup: SolvedSetup, { chosen }: Step): SolvedSetup =>
	chosen === undefined ? setup : { ...setup, chosen };

export function gentlerNotches(
	step: Step,
	setup: SolvedSetup | null,
	easier: Step | undefined,
	ctx: FitContext
): readonly GentlerNotch[] {
	const out: GentlerNotch[] = [...turnedNotches(step, setup, ctx, -1)];
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

/** Where a way back leads, and the ladder it is of where that is another one. */
export interface BackTo {
	readonly step: Step;
	readonly family?: string;
}

/** The ways back of a step that suit this client, in their order; one whose step is not there (left out for this client) is passed over. */
export function waysBack(
	step: Step,
	who: { readonly technique: Technique | undefined; readonly frontOfKnee: boolean },
	find: (id: string) => BackTo | undefined,
	ctx: FitContext
): readonly GentlerNotch[] {
	return (step.back ?? []).flatMap((b): GentlerNotch[] => {
		const suits =
			(b.technique === undefined || b.technique === who.technique) &&
			(b.frontOfKnee === undefined || b.frontOfKnee === who.frontOfKnee);
		const to = suits ? find(b.to) : undefined;
		if (to === undefined) return [];
		return [
			{
				dial: 'support',
				to: to.step.id,
				step: to.step.id,
				back: true,
				...(to.family === undefined ? {} : { family: to.family }),
				...(b.for === undefined ? {} : { causes: b.for }),
				setup: setupFor(to.step, fitStep(to.step, ctx), ctx.body)
			}
		];
	});
}
