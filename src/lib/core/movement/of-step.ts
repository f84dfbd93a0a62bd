/** What a step is and asks, whatever its movement: by the table of movements, or by what it needs where it is only posed. */
import { AXES, MODEL_ERROR, type Axis } from '../body/axis.ts';
import type { Body } from '../body/body.ts';
import { asChosen } from '../exercise/choice.ts';
import type { Needs, Step } from '../exercise/family.ts';
import type { StepPosture } from '../exercise/step-posture.ts';
import type { CheckId, Limits } from '../posture/problem.ts';
import type { Demand, MovementCheckId } from '../posture/verdict.ts';
import { type FitContext, lengthIn, type SolvedSetup } from './context.ts';
import type { Asked, JointMoments } from './movement.ts';
import { movementOf } from './movements.ts';
import type { Length } from './set-up-length.ts';

export const isOneSided = (p: StepPosture): boolean => movementOf(p).oneSided(p);
export const hasTechnique = (p: StepPosture): boolean => movementOf(p).byTechnique;
/** The length that is solved for a client; null where none is. */
export const lengthOf = (p: StepPosture): Length | null => movementOf(p).length(p);
/** The least knee bend on the way through, degrees: what a protocol that keeps the knee from straightening is held against. */
export const leastKneeOf = ({ posture }: Step): number => movementOf(posture).leastKnee?.(posture) ?? 0;

/** The set-up a step is usually given in, for a body: its own length before anything is solved, and its wedge. */
export const usualSetup = ({ posture }: Step, body: Body): SolvedSetup =>
	movementOf(posture).usual(posture, body);
/** The step's own length as it is usually given; null where it has none, or goes as far as it goes. */
export const usualLength = (step: Step, body: Body): number | null =>
	lengthIn(usualSetup(step, body))?.value ?? null;

/** Error of a demand, degrees. */
export const errorOf = (axis: Axis, step: Step, ctx: FitContext): number =>
	movementOf(step.posture).widerError?.(axis, { step, p: step.posture, ctx }) ?? MODEL_ERROR[axis];

/** Axes found before, by what they were asked of. Those that are the same share one array, so that what is worked out for it is found again. */
const known = new WeakMap<StepPosture | Needs, readonly Axis[]>();
const same = new Map<string, readonly Axis[]>();

function shared(of: StepPosture | Needs, asks: readonly Axis[]): readonly Axis[] {
	const axes = same.get(asks.join()) ?? asks;
	same.set(asks.join(), axes);
	known.set(of, axes);
	return axes;
}

const axesOfNeeds = ({ working, other, end, otherEnd }: Needs): readonly Axis[] =>
	AXES.filter(
		(a) => working[a] !== undefined || other[a] !== undefined || end.includes(a) || otherEnd.includes(a)
	);

/** The axes a step asks for, in the order they are shown; the same array each time. */
export function axesOf({ needs, posture }: Step): readonly Axis[] {
	const of = needs ?? posture;
	return (
		known.get(of) ?? shared(of, needs === undefined ? movementOf(posture).axes(posture) : axesOfNeeds(needs))
	);
}

const NO_MOMENTS: JointMoments = {};
const NOTHING: readonly (CheckId | MovementCheckId)[] = [];

/**
 * What a step asks of a body in a set-up. `bounds`, strictest first, only steer how a technique is done: the first inside which it can be decides.
 * They are judged by the caller. Left out, the technique is done as it is taught.
 */
export function askedBy(
	written: Step,
	ctx: FitContext,
	setup: SolvedSetup | null,
	bounds: readonly Limits[] = []
): Asked {
	const step = asChosen(written, setup?.chosen);
	const { needs, posture: p } = step;
	if (needs === undefined) return movementOf(p).asks({ step, p, ctx, setup, bounds });
	const { working, other } = needs;
	return { demand: working, other, moments: NO_MOMENTS, stands: true, failing: NOTHING };
}

/** The least a set-up can have asked of whoever did it, degrees by axis: where a technique leaves room, the gentlest way for each axis. For evidence. */
export function leastAsked(written: Step, ctx: FitContext, setup: SolvedSetup | null): Demand {
	const step = asChosen(written, setup?.chosen);
	const { posture: p } = step;
	return movementOf(p).least?.({ step, p, ctx, setup, bounds: [] }) ?? askedBy(step, ctx, setup).demand;
}
