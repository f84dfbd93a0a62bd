/** The limits a step is held against: of its axes, on the sides that work and on those that help, by kind of work. Worked out once for a context. */
import { AXES, oppositeSide, type Axis, type Side } from '../body/axis.ts';
import { type Step } from '../exercise/family.ts';
import type { Limits } from '../posture/problem.ts';
import { axesOf, isOneSided } from '../movement/of-step.ts';
import { type FitContext } from '../movement/context.ts';
import { axisLimit, type AxisLimit, type WorkKind } from '../movement/limits.ts';
import { solverLimits, type BothLimits } from './solve.ts';

export const SIDES_BOTH: readonly Side[] = ['left', 'right'];

/** Do the legs do different things? Then the side that works is asked one and its opposite the other. */
export const apart = (step: Step): boolean =>
	isOneSided(step.posture) || (step.needs !== undefined && step.needs.working !== step.needs.other);

/** What was worked out for a context; a context never changes, so it is kept with it. */
interface Known {
	/** By axis, side and kind of work. */
	readonly limits: (AxisLimit | undefined)[];
	/** By the step's axes (the same array each time), then by sidedness and kind of work. */
	readonly both: Map<readonly Axis[], (BothLimits | undefined)[]>;
}
const knownOf = new WeakMap<FitContext, Known>();

function knownIn(ctx: FitContext): Known {
	const found = knownOf.get(ctx);
	if (found !== undefined) return found;
	const made: Known = { limits: [], both: new Map() };
	knownOf.set(ctx, made);
	return made;
}

/** The kinds of work there are: bit 0 loaded, bit 1 open chain, bit 2 without weight on the leg. */
export const KINDS: readonly WorkKind[] = Array.from({ length: 8 }, (_, k) => ({
	loaded: (k & 1) !== 0,
	openChain: (k & 2) !== 0,
	weightBearing: (k & 4) === 0
}));
export const kindOf = ({ posture, tags }: Step): number =>
	(posture.load === undefined ? 0 : 1) +
	(tags.includes('open-chain-knee') ? 2 : 0) +
	(tags.includes('no-weight') ? 4 : 0);
export const NO_LIMITS: NonNullable<FitContext['protocolLimits']> = [];

export const limitOn = (axis: Axis, side: Side, step: Step, ctx: FitContext): AxisLimit =>
	limitAt(axis, side, kindOf(step), ctx);

function limitAt(axis: Axis, side: Side, kind: number, ctx: FitContext): AxisLimit {
	const at = AXES.indexOf(axis) * 16 + (side === 'left' ? 0 : 8) + kind;
	const { limits } = knownIn(ctx);
	return (limits[at] ??= axisLimit(
		axis,
		side,
		ctx.envelope,
		ctx.protocolLimits ?? NO_LIMITS,
		ctx.rules,
		ctx.today,
		KINDS[kind] as WorkKind
	));
}

const bothAlike = (limits: readonly AxisLimit[]): BothLimits => ({ working: limits, other: limits });

/** The limits of a step's axes on the sides that work, and on those that help. */
export function bothLimits(step: Step, ctx: FitContext): BothLimits {
	const axes = axesOf(step);
	const side = apart(step) ? ctx.side : undefined;
	const { both } = knownIn(ctx);
	let kinds = both.get(axes);
	if (kinds === undefined) both.set(axes, (kinds = []));
	const kind = kindOf(step);
	const on = (sides: readonly Side[]): readonly AxisLimit[] => {
		const out: AxisLimit[] = [];
		for (const axis of axes) for (const s of sides) out.push(limitAt(axis, s, kind, ctx));
		return out;
	};
	return (kinds[(side === undefined ? 0 : 8) + kind] ??=
		side === undefined
			? bothAlike(on(SIDES_BOTH))
			: { working: on([side]), other: on([oppositeSide(side)]) });
}

/** The limits of all axes and of the sides a step works on. */
export const limitsFor = (step: Step, ctx: FitContext): readonly AxisLimit[] => bothLimits(step, ctx).working;

/** What a step is asked inside, strictest first: with the model's error kept free, then without. */
export function boundsOf(
	step: Step,
	ctx: FitContext,
	{ working }: BothLimits = bothLimits(step, ctx)
): readonly [Limits, Limits] {
	return [solverLimits(working, step, ctx, true), solverLimits(working, step, ctx, false)];
}
