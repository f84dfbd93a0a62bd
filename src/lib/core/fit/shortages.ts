/** What a set-up asks, and where that comes close to a limit or goes past it: by what is tolerated, and by protocol. */
import {
	isMidline,
	MODEL_ERROR,
	oppositeSide,
	sidesOfAxis,
	USUAL_RANGE,
	type Axis,
	type Side
} from '../body/axis.ts';
import type { Needs, Step } from '../exercise/family.ts';
import { axesOf, errorOf, leastKneeOf } from '../movement/of-step.ts';
import type { Asked } from '../movement/movement.ts';
import { movementOf } from '../movement/movements.ts';
import { type FitContext } from '../movement/context.ts';
import { allowedOn, type AxisLimit, type WorkKind } from '../movement/limits.ts';
import { apart, KINDS, kindOf, limitOn, NO_LIMITS, SIDES_BOTH } from './limits-for.ts';

export interface Limiting {
	readonly axis: Axis;
	readonly side: Side;
	readonly demand: number;
	readonly limit: number;
	readonly short: number;
	readonly by: 'tolerated' | 'protocol';
}

/** One ask: so many degrees of an axis on a side, and the limit it is held against. */
export interface Ask {
	readonly demand: number;
	/** Against a protocol, where that counts more than against what is tolerated. */
	readonly strict?: number;
	readonly limit: AxisLimit;
}

/** What a leg asks on an axis; a rear leg in a stride asks less of what is tolerated than of a protocol. */
function ask(step: Step, axis: Axis, demand: number, rear: boolean, limit: AxisLimit): Ask {
	const gives = rear ? movementOf(step.posture).rearGives?.[axis] : undefined;
	return gives === undefined ? { demand, limit } : { demand: demand - gives, strict: demand, limit };
}

/** Which side works and which helps: with a side given, that one; else each side must be able to do both. */
export function asksOf(step: Step, ctx: FitContext, { demand, other }: Asked): readonly Ask[] {
	const out: Ask[] = [];
	const oneSided = ctx.side !== undefined && apart(step);
	for (const axis of axesOf(step)) {
		const working = demand[axis];
		const helping = other?.[axis];
		if (oneSided) {
			const [side, beside] = isMidline(axis)
				? (['left', 'left'] as const)
				: ([ctx.side as Side, oppositeSide(ctx.side as Side)] as const);
			if (working !== undefined) out.push(ask(step, axis, working, false, limitOn(axis, side, step, ctx)));
			if (helping !== undefined) out.push(ask(step, axis, helping, true, limitOn(axis, beside, step, ctx)));
			continue;
		}
		const most = Math.max(working ?? -Infinity, helping ?? -Infinity);
		if (most !== -Infinity)
			for (const side of sidesOfAxis(axis))
				out.push(
					ask(
						step,
						axis,
						most,
						(helping ?? -Infinity) > (working ?? -Infinity),
						limitOn(axis, side, step, ctx)
					)
				);
	}
	return out;
}

/**
 * Where an ask comes closer to a limit than the model's own error, or goes past it; worst first. Against a protocol the error comes off
 * before, so that what is close to it is past it already.
 */
export function shortages(step: Step, ctx: FitContext, asks: readonly Ask[]): Limiting[] {
	const out: Limiting[] = [...tooStraight(step, ctx), ...pastProtocol(step, ctx)];
	for (const { demand, strict = demand, limit: l } of asks) {
		const error = errorOf(l.axis, step, ctx);
		if (l.allowed !== undefined) {
			const past = strict + error - l.allowed.maxDeg;
			if (past > 1e-6)
				out.push({
					axis: l.axis,
					side: l.side,
					demand: strict,
					limit: l.allowed.maxDeg,
					short: past,
					by: 'protocol'
				});
		}
		if (l.kind !== 'known') continue;
		const short = demand - (l.limit - l.margin);
		if (short > 1e-6 - error)
			out.push({ axis: l.axis, side: l.side, demand, limit: l.limit, short, by: 'tolerated' });
	}
	return out.length < 2 ? out : out.sort((a, b) => b.short - a.short);
}

/** Knee bend on the way down to kneeling, degrees. @source common-practice */
const KNEELING = 90;

/** What a protocol closes beyond the asks: a stretch to the end of an axis that has a window, and kneeling, whatever is done there. */
function pastProtocol(step: Step, ctx: FitContext): Limiting[] {
	if (ctx.protocolLimits === undefined || ctx.protocolLimits.length === 0) return [];
	const out: Limiting[] = [];
	const kind = KINDS[kindOf(step)] as WorkKind;
	const close = (axis: Axis, side: Side, demand: number): void => {
		const max = allowedOn(axis, side, ctx.protocolLimits ?? NO_LIMITS, kind)?.maxDeg ?? Infinity;
		const short = demand + MODEL_ERROR[axis] - max;
		if (max !== Infinity && short > 1e-6) out.push({ axis, side, demand, limit: max, short, by: 'protocol' });
	};
	const { needs } = step;
	if (needs !== undefined)
		for (const side of SIDES_BOTH)
			for (const axis of endsOn(needs, side, ctx.side))
				close(
					axis,
					side,
					Math.max(
						ctx.envelope[axis]?.[side]?.end ?? 0,
						USUAL_RANGE[axis],
						allowedOn(axis, side, ctx.protocolLimits, kind)?.maxDeg ?? 0
					)
				);
	if (step.tags.includes('kneeling')) for (const side of SIDES_BOTH) close('kneeFlexion', side, KNEELING);
	return out;
}

/** The axes that a leg takes to its end; both legs', where it is not said which one works. */
const endsOn = ({ end, otherEnd }: Needs, side: Side, works: Side | undefined): readonly Axis[] =>
	works === undefined ? [...new Set([...end, ...otherEnd])] : side === works ? end : otherEnd;

/** A protocol that keeps a knee from straightening binds whatever the step asks of it, on both legs. */
function tooStraight(step: Step, ctx: FitContext): Limiting[] {
	if (ctx.protocolLimits === undefined || ctx.protocolLimits.length === 0) return [];
	const least = leastKneeOf(step);
	return SIDES_BOTH.flatMap((side): Limiting[] => {
		const allowed = allowedOn(
			'kneeFlexion',
			side,
			ctx.protocolLimits ?? NO_LIMITS,
			KINDS[kindOf(step)] as WorkKind
		);
		const short = (allowed?.minDeg ?? -Infinity) + MODEL_ERROR.kneeFlexion - least;
		return short > 1e-6
			? [{ axis: 'kneeFlexion', side, demand: least, limit: allowed?.minDeg ?? 0, short, by: 'protocol' }]
			: [];
	});
}
