/**
 * Solving a step's own length for a client: seat, depth, step, handle, sled or feet, rounded to the safe side and to what the room can build.
 */
import { MODEL_ERROR, type Axis } from '../body/axis.ts';
import type { Step } from '../exercise/family.ts';
import type { StepPosture } from '../exercise/step-posture.ts';
import type { FitContext, SolvedSetup } from '../movement/context.ts';
import type { AxisLimit } from '../movement/limits.ts';
import { movementOf } from '../movement/movements.ts';
import { errorOf } from '../movement/of-step.ts';
import type { Limits } from '../posture/problem.ts';

const KEY: Readonly<Record<Axis, keyof Limits>> = {
	kneeFlexion: 'kneeFlexionDeg',
	thighTrunkFlexion: 'thighTrunkFlexionDeg',
	weightBearingDorsiflexion: 'weightBearingDorsiflexionDeg',
	straightLegRaise: 'straightLegRaiseDeg',
	hipExtension: 'hipExtensionDeg',
	bigToeExtension: 'bigToeExtensionDeg',
	hipAbduction: 'hipAbductionDeg',
	hipInternalRotation: 'hipInternalRotationDeg',
	hipExternalRotation: 'hipExternalRotationDeg',
	forwardBow: 'forwardBowDeg'
};

/** Worked out once for a list of limits: without error, with it, and with the wider one of a feet-back rise. */
const bounds = new WeakMap<readonly AxisLimit[], [Limits?, Limits?, Limits?]>();

/** The tightest known limits as the solver wants them, already less margin and, if asked, the model's error. The same object each time. */
export function solverLimits(
	limits: readonly AxisLimit[],
	step: Step,
	ctx: FitContext,
	withError: boolean
): Limits {
	const kind = !withError
		? 0
		: errorOf('thighTrunkFlexion', step, ctx) === MODEL_ERROR.thighTrunkFlexion
			? 1
			: 2;
	let known = bounds.get(limits);
	if (known === undefined) bounds.set(limits, (known = []));
	return (known[kind] ??= tightestOf(limits, step, ctx, withError));
}

function tightestOf(limits: readonly AxisLimit[], step: Step, ctx: FitContext, withError: boolean): Limits {
	const out: { -readonly [K in keyof Limits]: number } = {};
	for (const l of limits) {
		const key = KEY[l.axis];
		const error = errorOf(l.axis, step, ctx);
		const given = movementOf(step.posture).rearGives?.[l.axis] ?? 0;
		const tolerated = l.kind === 'known' ? l.limit - l.margin + given - (withError ? error : 0) : Infinity;
		const usable = l.allowed === undefined ? tolerated : Math.min(tolerated, l.allowed.maxDeg - error);
		if (usable === Infinity) continue;
		const so = out[key];
		if (so === undefined || usable < so) out[key] = usable;
	}
	return out as Limits;
}

/** Runs a solve, or remembers it by its limits (the same object each time) and how the step stands: each distinct problem is solved once. */
export type Once = (limits: Limits, posture: number, work: () => number) => number;
const always: Once = (_, __, work) => work();

/** Limits of the working leg and of the other. */
export interface BothLimits {
	readonly working: readonly AxisLimit[];
	readonly other: readonly AxisLimit[];
}

/**
 * The set-up to give: the hardest that keeps the model's error free; where none does, the gentlest there is, whose fit the caller judges. Never
 * something between, or a range that grows could take a harder set-up away again. Null where the step has no length of its own.
 */
export const solveSetup = (
	step: Step,
	ctx: FitContext,
	limits: BothLimits,
	once: Once = always
): SolvedSetup | null => hardestWithin(step, ctx, limits, true, once) ?? gentlest(step, ctx, limits, once);

/** The hardest set-up inside the limits less their margin, and less the model's error if asked. */
export const hardestWithin = (
	step: Step,
	ctx: FitContext,
	limits: BothLimits,
	withError: boolean,
	once: Once = always
): SolvedSetup | null =>
	solved(
		step,
		ctx,
		solverLimits(limits.working, step, ctx, withError),
		solverLimits(limits.other, step, ctx, withError),
		once
	);

/** As far as a client can go: with the model's error kept free if that holds anywhere, else with the margin alone. For goals and bands. */
export const asFarAsHolds = (step: Step, ctx: FitContext, limits: BothLimits): SolvedSetup | null =>
	hardestWithin(step, ctx, limits, true) ?? hardestWithin(step, ctx, limits, false);

/** The gentlest set-up of a step: the highest seat the room can build, a quarter squat, the lowest step, the highest handle. */
function gentlest(step: Step, ctx: FitContext, limits: BothLimits, once: Once): SolvedSetup | null {
	const p = step.posture;
	const movement = movementOf(p);
	return movement.gentlest === undefined
		? hardestWithin(step, ctx, limits, false, once)
		: movement.gentlest({ step, p, ctx });
}

const postureIds = new WeakMap<StepPosture, number>();
const alike = new Map<string, number>();

/** Steps that stand alike are one problem: the same small number. */
function postureKey(p: StepPosture): number {
	const known = postureIds.get(p);
	if (known !== undefined) return known;
	const text = JSON.stringify(p);
	const id = alike.get(text) ?? alike.size;
	alike.set(text, id);
	postureIds.set(p, id);
	return id;
}

function solved(
	step: Step,
	ctx: FitContext,
	limits: Limits,
	rearLimits: Limits,
	once: Once
): SolvedSetup | null {
	const p = step.posture;
	const run = (work: () => number): number => once(limits, once === always ? 0 : postureKey(p), work);
	return movementOf(p).hardest?.({ step, p, ctx, limits, rearLimits, run }) ?? null;
}
