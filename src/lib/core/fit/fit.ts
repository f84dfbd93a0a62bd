/**
 * Fit: what a step demands, held against what the client tolerates.
 *
 * fits: slack after the margin is at least the model's own error on every axis and side; watch: less than that, but not negative;
 * set-up: does not fit as it stands, but does with a solved seat, depth, step, handle, sled or feet; blocked: no set-up brings it inside,
 * or a flag, a position or missing equipment stands in the way; unmeasured: a needed axis has no value, or one too old. Protocol limits
 * are never overridden by what was seen.
 */
import { AXES, isMainAxis, MODEL_ERROR, oppositeSide, USUAL_RANGE, type Axis, type Side } from '../body/axis.ts';
import { daysBetween, type Day } from '../base/calendar-day.ts';
import { PROTOCOL } from '../client/protocol.ts';
import type { Eased, Withheld } from '../client/screening.ts';
import { POSITIONS, type Equipment, type ExerciseFamily, type Position, type Step, type Tag } from '../exercise/family.ts';
import { isOneSided } from '../exercise/step-posture.ts';
import type { Limits } from '../posture/problem.ts';
import type { Demand } from '../posture/verdict.ts';
import { askedBy, axesOf, errorOf, leastKneeOf, PELVIS_GIVES, type Asked } from './asked.ts';
import { lengthIn, type FitContext, type LungeWay, type SolvedSetup } from './context.ts';
import { allowedOn, axisLimit, type AxisLimit, type WorkKind } from './limits.ts';
import { inWay, lungeWays } from './lunge-ways.ts';
import { solverLimits, solveSetup, type BothLimits, type Once } from './solve.ts';
import { techniqueFor } from './squat-stand.ts';
import { usualLength } from './usual-setup.ts';

export const VERDICTS = ['fits', 'set-up', 'watch', 'blocked', 'unmeasured'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface Limiting {
	readonly axis: Axis;
	readonly side: Side;
	readonly demand: number;
	readonly limit: number;
	readonly short: number;
	readonly by: 'tolerated' | 'protocol';
}

export interface StepFit {
	readonly step: string;
	readonly verdict: Verdict;
	/** Demand of the step as it stands, degrees by axis: the larger of both legs. */
	readonly demand: Demand;
	readonly limiting: readonly Limiting[];
	readonly unmeasured: readonly { readonly axis: Axis; readonly side: Side; readonly reason: 'missing' | 'stale' }[];
	/** Axes without a value that were taken as usual. */
	readonly assumed: readonly Axis[];
	readonly setup: SolvedSetup | null;
	/** Demand once set up. */
	readonly demandSetUp: Demand | null;
	/** What would open it. */
	readonly unlock: { readonly axis: Axis; readonly side: Side; readonly toDeg: number } | { readonly measure: readonly Axis[] } | null;
	readonly seen: Day | null;
	/** Which of its tags are withheld, and by which flag or by protocol. */
	readonly withheld: readonly Withheld[];
	/** What open flags ask of it while they let it pass. */
	readonly eased: readonly Eased[];
	/** Equipment that is not at hand; of each, one is enough. */
	readonly missing: readonly (readonly Equipment[])[];
	/** Positions it needs that the client cannot take, or was not asked about. */
	readonly positions: readonly { readonly position: Position; readonly answer: 'no' | 'unknown' }[];
	/** It is done on a bed or couch that is at hand, not on the floor. */
	readonly onBed: boolean;
}

const SIDES_BOTH: readonly Side[] = ['left', 'right'];

/** One ask: so many degrees of an axis on a side, and the limit it is held against. */
interface Ask {
	readonly demand: number;
	/** Against a protocol, where that counts more than against what is tolerated. */
	readonly strict?: number;
	readonly limit: AxisLimit;
}

/** Do the legs do different things? Then the side that works is asked one and its opposite the other. */
const apart = (step: Step): boolean => isOneSided(step.posture) || (step.needs !== undefined && step.needs.working !== step.needs.other);

/** What a leg asks on an axis; a rear leg in a stride asks less of what is tolerated than of a protocol. */
function ask(step: Step, axis: Axis, demand: number, rear: boolean, limit: AxisLimit): Ask {
	return rear && axis === 'hipExtension' && step.posture.movement === 'split-squat' ? { demand: demand - PELVIS_GIVES, strict: demand, limit } : { demand, limit };
}

/** Which side works and which helps: with a side given, that one; else each side must be able to do both. */
function asksOf(step: Step, ctx: FitContext, { demand, other }: Asked): readonly Ask[] {
	const out: Ask[] = [];
	const oneSided = ctx.side !== undefined && apart(step);
	for (const axis of axesOf(step)) {
		const working = demand[axis];
		const helping = other?.[axis];
		if (oneSided) {
			const side = ctx.side as Side;
			if (working !== undefined) out.push(ask(step, axis, working, false, limitOn(axis, side, step, ctx)));
			if (helping !== undefined) out.push(ask(step, axis, helping, true, limitOn(axis, oppositeSide(side), step, ctx)));
			continue;
		}
		const most = Math.max(working ?? -Infinity, helping ?? -Infinity);
		if (most !== -Infinity) for (const side of SIDES_BOTH) out.push(ask(step, axis, most, (helping ?? -Infinity) > (working ?? -Infinity), limitOn(axis, side, step, ctx)));
	}
	return out;
}

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
const KINDS: readonly WorkKind[] = Array.from({ length: 8 }, (_, k) => ({ loaded: (k & 1) !== 0, openChain: (k & 2) !== 0, weightBearing: (k & 4) === 0 }));
const kindOf = ({ posture, tags }: Step): number => (posture.load === undefined ? 0 : 1) + (tags.includes('open-chain-knee') ? 2 : 0) + (tags.includes('no-weight') ? 4 : 0);
const NO_LIMITS: NonNullable<FitContext['protocolLimits']> = [];

export const limitOn = (axis: Axis, side: Side, step: Step, ctx: FitContext): AxisLimit => limitAt(axis, side, kindOf(step), ctx);

function limitAt(axis: Axis, side: Side, kind: number, ctx: FitContext): AxisLimit {
	const at = AXES.indexOf(axis) * 16 + (side === 'left' ? 0 : 8) + kind;
	const { limits } = knownIn(ctx);
	return (limits[at] ??= axisLimit(axis, side, ctx.envelope, ctx.protocolLimits ?? NO_LIMITS, ctx.rules, ctx.today, KINDS[kind] as WorkKind));
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
	return (kinds[(side === undefined ? 0 : 8) + kind] ??= side === undefined ? bothAlike(on(SIDES_BOTH)) : { working: on([side]), other: on([oppositeSide(side)]) });
}

/** The limits of all axes and of the sides a step works on. */
export const limitsFor = (step: Step, ctx: FitContext): readonly AxisLimit[] => bothLimits(step, ctx).working;

/** What a step is asked inside, strictest first: with the model's error kept free, then without. */
export function boundsOf(step: Step, ctx: FitContext, { working }: BothLimits = bothLimits(step, ctx)): readonly [Limits, Limits] {
	return [solverLimits(working, step, ctx, true), solverLimits(working, step, ctx, false)];
}

/**
 * Where an ask comes closer to a limit than the model's own error, or goes past it; worst first. Against a protocol the error comes off
 * before, so that what is close to it is past it already.
 */
function shortages(step: Step, ctx: FitContext, asks: readonly Ask[]): Limiting[] {
	const out: Limiting[] = [...tooStraight(step, ctx), ...pastProtocol(step, ctx)];
	for (const { demand, strict = demand, limit: l } of asks) {
		const error = errorOf(l.axis, step, ctx);
		if (l.allowed !== undefined) {
			const past = strict + error - l.allowed.maxDeg;
			if (past > 1e-6) out.push({ axis: l.axis, side: l.side, demand: strict, limit: l.allowed.maxDeg, short: past, by: 'protocol' });
		}
		if (l.kind !== 'known') continue;
		const short = demand - (l.limit - l.margin);
		if (short > 1e-6 - error) out.push({ axis: l.axis, side: l.side, demand, limit: l.limit, short, by: 'tolerated' });
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
		for (const axis of needs.end) for (const side of needs.bothEnd || ctx.side === undefined ? SIDES_BOTH : [ctx.side]) close(axis, side, Math.max(ctx.envelope[axis]?.[side]?.end ?? 0, USUAL_RANGE[axis], allowedOn(axis, side, ctx.protocolLimits, kind)?.maxDeg ?? 0));
	if (step.tags.includes('kneeling')) for (const side of SIDES_BOTH) close('kneeFlexion', side, KNEELING);
	return out;
}

/** A protocol that keeps a knee from straightening binds whatever the step asks of it, on both legs. */
function tooStraight(step: Step, ctx: FitContext): Limiting[] {
	if (ctx.protocolLimits === undefined || ctx.protocolLimits.length === 0) return [];
	const least = leastKneeOf(step);
	return SIDES_BOTH.flatMap((side): Limiting[] => {
		const allowed = allowedOn('kneeFlexion', side, ctx.protocolLimits ?? NO_LIMITS, KINDS[kindOf(step)] as WorkKind);
		const short = (allowed?.minDeg ?? -Infinity) + MODEL_ERROR.kneeFlexion - least;
		return short > 1e-6 ? [{ axis: 'kneeFlexion', side, demand: least, limit: allowed?.minDeg ?? 0, short, by: 'protocol' }] : [];
	});
}

/** Seen doing it, at least as hard a set-up, recently enough: the latest such day. */
function seenDoing(step: Step, ctx: FitContext): Day | null {
	if (ctx.observed === undefined || ctx.observed.length === 0) return null;
	const own = usualLength(step, ctx.body);
	const days = ctx.observed.filter((o) => {
		if (o.step !== step.id || daysBetween(o.date, ctx.today) > ctx.rules.staleDays) return false;
		const done = lengthIn(o.setup);
		return done === null || own === null || (done.value - own) * done.harder >= 0;
	});
	return days.reduce<Day | null>((m, o) => (m === null || o.date > m ? o.date : m), null);
}

const NONE: readonly Withheld[] = [];
const NOT_EASED: readonly Eased[] = [];
const NO_KIT: readonly (readonly Equipment[])[] = [];
const NO_POSITIONS: StepFit['positions'] = [];

/** The larger demand of both legs on each axis, for the bar that is drawn. */
function whole({ demand, other }: Asked): Demand {
	if (other === null) return demand;
	const out: { [A in Axis]?: number } = { ...demand };
	for (const axis of AXES) {
		const helping = other[axis];
		if (helping !== undefined) out[axis] = Math.max(out[axis] ?? -Infinity, helping);
	}
	return out;
}

/** The side a step lies on, where it lies on one: null where either may be meant. */
const liesOn = (step: Step, ctx: FitContext): Side | null => (step.liesOn === undefined || ctx.side === undefined ? null : step.liesOn === 'own' ? ctx.side : oppositeSide(ctx.side));

/** Is it done on a bed or couch that is at hand? Then nobody gets down to the floor for it. */
const onBedIn = (step: Step, ctx: FitContext): boolean => step.onBed === true && ctx.equipment?.includes('bed') === true;

/** Does a tag hold of a step here? */
const carries = (tag: Tag, step: Step, ctx: FitContext): boolean => step.tags.includes(tag) && !(tag === 'floor-transfer' && onBedIn(step, ctx));

/** Does what is withheld meet this step? Lying on a side is judged for the side that is lain on. */
function meets(w: Withheld, step: Step, ctx: FitContext): boolean {
	if (w.tag === 'over-load' || !carries(w.tag, step, ctx)) return false;
	return w.tag !== 'side-lying' || w.side === undefined || (liesOn(step, ctx) ?? w.side) === w.side;
}

/** What a protocol's weight and load leave: no weight, part of it on both feet, no more than so many kilograms. */
function weightWithheld(step: Step, { noWeight = [], partialWeight = [], highestLoadKg, side }: FitContext): readonly Withheld[] {
	const out: Withheld[] = [];
	const stands = step.tags.includes('one-leg');
	// In standing, a leg without weight may move while the other carries.
	const moves = side !== undefined && noWeight.includes(side) && noWeight.length === 1;
	if (noWeight.length > 0 && (!step.tags.includes('no-weight') || (stands && !moves))) out.push({ tag: 'no-weight', because: PROTOCOL });
	else if (partialWeight.length > 0 && (stands || step.tags.includes('impact') || step.posture.load !== undefined) && !step.tags.includes('no-weight')) out.push({ tag: 'no-weight', because: PROTOCOL });
	if (highestLoadKg !== undefined && (step.posture.load?.kg ?? 0) > highestLoadKg) out.push({ tag: 'over-load', because: PROTOCOL });
	return out;
}

function withheldFrom(step: Step, ctx: FitContext): readonly Withheld[] {
	const tags = ctx.withheld === undefined || ctx.withheld.length === 0 ? NONE : ctx.withheld.filter((w) => meets(w, step, ctx));
	const weight = ctx.noWeight === undefined && ctx.partialWeight === undefined && ctx.highestLoadKg === undefined ? NONE : weightWithheld(step, ctx);
	return weight.length === 0 ? tags : [...tags, ...weight];
}

/** Equipment a step needs and the client has not. */
function missingFor(step: Step, ctx: FitContext): readonly (readonly Equipment[])[] {
	const { equipment } = ctx;
	if (equipment === undefined || step.equipment === undefined || step.equipment.every((e) => (typeof e === 'string' ? equipment.includes(e) : e.some((x) => equipment.includes(x))))) return NO_KIT;
	return step.equipment.map((e): readonly Equipment[] => (typeof e === 'string' ? [e] : e)).filter((any) => !any.some((e) => equipment.includes(e)));
}

function positionsFor(step: Step, ctx: FitContext): StepFit['positions'] {
	if (ctx.positions === undefined || step.tags.length === 0) return NO_POSITIONS;
	const out: { position: Position; answer: 'no' | 'unknown' }[] = [];
	for (const position of POSITIONS) {
		if (!carries(position, step, ctx)) continue;
		const answer = ctx.positions[position] ?? 'unknown';
		if (answer !== 'yes') out.push({ position, answer });
	}
	return out;
}

const RANK: Readonly<Record<Verdict, number>> = { blocked: 0, unmeasured: 1, 'set-up': 2, watch: 3, fits: 4 };

/** The lunge ways of a step; null for a step that is no lunge, or whose way is given. */
const waysOf = (step: Step, ctx: FitContext): readonly LungeWay[] | null => (step.posture.movement !== 'split-squat' || ctx.lunge !== undefined ? null : lungeWays(ctx, techniqueFor(step, ctx.technique, ctx.teach) ?? 'parallel'));

/** Is the first of two fits of one step the better one: by verdict, then by the harder set-up? */
function serves(a: StepFit, b: StepFit): boolean {
	if (RANK[a.verdict] !== RANK[b.verdict]) return RANK[a.verdict] > RANK[b.verdict];
	const [x, y] = [lengthIn(a.setup), lengthIn(b.setup)];
	return x !== null && y !== null && (x.value - y.value) * x.harder > 0;
}

/** Fits one step; a lunge in the first way that serves it best. */
export function fitStep(step: Step, ctx: FitContext, once?: Once): StepFit {
	const ways = waysOf(step, ctx);
	if (ways === null) return fitOne(step, ctx, once);
	let best: StepFit | undefined;
	for (const way of ways) {
		const fit = fitOne(step, inWay(ctx, way), once);
		if (best === undefined || serves(fit, best)) best = fit;
		if (best.verdict === 'fits' || best.withheld.length > 0 || best.missing.length > 0) break;
	}
	return best ?? fitOne(step, ctx, once);
}

function fitOne(step: Step, ctx: FitContext, once?: Once): StepFit {
	const limits = bothLimits(step, ctx);
	const nominal = askedBy(step, ctx, null, boundsOf(step, ctx, limits));
	const asks = asksOf(step, ctx, nominal);
	const close = shortages(step, ctx, asks);
	const over = close.length === 0 ? close : close.filter((l) => l.short > 1e-6);
	const unmeasured: { axis: Axis; side: Side; reason: 'missing' | 'stale' }[] = [];
	const assumed: Axis[] = [];
	for (const { limit: l } of asks) {
		if (l.kind !== 'unknown') continue;
		if (isMainAxis(l.axis)) unmeasured.push({ axis: l.axis, side: l.side, reason: l.reason });
		else if (!assumed.includes(l.axis)) assumed.push(l.axis);
	}
	const seen = seenDoing(step, ctx);
	const withheld = withheldFrom(step, ctx);
	const eased = ctx.eased === undefined || ctx.eased.length === 0 ? NOT_EASED : ctx.eased.filter((e) => carries(e.tag, step, ctx));
	const missing = missingFor(step, ctx);
	const positions = positionsFor(step, ctx);
	const demand = whole(nominal);
	// Written out rather than spread: this object is made for every step of every fit.
	const answer = (verdict: Verdict, limiting: readonly Limiting[], unlock: StepFit['unlock'], setup: SolvedSetup | null, demandSetUp: Demand | null): StepFit => ({ step: step.id, verdict, demand, limiting, unmeasured, assumed, setup, demandSetUp, unlock, seen, withheld, eased, missing, positions, onBed: onBedIn(step, ctx) });
	if (withheld.length > 0 || missing.length > 0 || positions.some((p) => p.answer === 'no')) return answer('blocked', close, null, null, null);
	const protocolShort = over.some((l) => l.by === 'protocol');
	if (seen !== null && !protocolShort) return answer('fits', close, null, null, null);
	const measure = unmeasured.length === 0 ? [] : [...new Set(unmeasured.map((u) => u.axis))];
	// A balance no technique can hold (hips too far behind) is no range question: it blocks like a range that is short.
	if (over.length === 0 && nominal.stands) return measure.length > 0 ? answer('unmeasured', close, { measure }, null, null) : answer(close.length > 0 ? 'watch' : 'fits', close, null, null, null);
	const found = solveSetup(step, ctx, limits, once);
	const worst = over[0];
	const unlock = worst === undefined ? null : { axis: worst.axis, side: worst.side, toDeg: worst.limit + worst.short };
	const solved = found === null ? null : askedBy(step, ctx, found, boundsOf(step, ctx, limits));
	// A length can answer for its own ranges only: where another is short (toes, hip back), no depth helps.
	const helps = found !== null && solved !== null && solved.stands && shortages(step, ctx, asksOf(step, ctx, solved)).every((l) => l.short <= 1e-5);
	if (!helps) return answer('blocked', over, unlock, null, null);
	if (measure.length > 0) return answer('unmeasured', over, { measure }, null, null);
	return answer('set-up', over, unlock, found, whole(solved));
}

/**
 * What a given set-up asks beyond what is usable (limit less margin), worst first; empty when it is inside. For set-ups that
 * somebody chose rather than the solver.
 */
export function shortAt(step: Step, ctx: FitContext, setup: SolvedSetup | null): readonly Limiting[] {
	const ways = waysOf(step, ctx);
	if (ways === null) return shortOne(step, ctx, setup);
	let least: readonly Limiting[] | undefined;
	for (const way of ways) {
		const short = shortOne(step, inWay(ctx, way), setup);
		if (short.length === 0) return short;
		if (least === undefined || (short[0]?.short ?? 0) < (least[0]?.short ?? 0)) least = short;
	}
	return least ?? [];
}

function shortOne(step: Step, ctx: FitContext, setup: SolvedSetup | null): readonly Limiting[] {
	const asked = askedBy(step, ctx, setup, boundsOf(step, ctx));
	return shortages(step, ctx, asksOf(step, ctx, asked)).filter((l) => l.short > ROUNDING);
}

/** Set-ups are whole centimetres and degrees: half a degree of rounding is no violation. */
const ROUNDING = 0.5;

/** Fits a whole family, solving each distinct problem once. */
export const fitFamily = (family: ExerciseFamily, ctx: FitContext): readonly StepFit[] => fitSteps(family.steps, ctx);

/** Fits many steps, of one family or all, solving each distinct problem once. */
export function fitSteps(steps: readonly Step[], ctx: FitContext): readonly StepFit[] {
	const solved = new Map<Limits, Map<number, number>>();
	const once: Once = (limits, posture, work) => {
		let known = solved.get(limits);
		if (known === undefined) solved.set(limits, (known = new Map()));
		const found = known.get(posture);
		if (found !== undefined) return found;
		const value = work();
		known.set(posture, value);
		return value;
	};
	return steps.filter((s) => s.retired === undefined).map((step) => fitStep(step, ctx, once));
}
