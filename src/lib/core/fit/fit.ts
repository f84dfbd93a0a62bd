/**
 * Fit: what a step demands, held against what the client tolerates.
 *
 * fits: slack after the margin is at least the model's own error on every axis and side; watch: less than that, but not negative;
 * set-up: does not fit as it stands, but does with a solved seat, depth, step, handle, sled or feet; blocked: no set-up brings it inside,
 * or a flag, a position or missing equipment stands in the way; unmeasured: a needed axis has no value, or one too old. Protocol limits
 * are never overridden by what was seen.
 */
import { AXES, isMainAxis, type Axis, type Side } from '../body/axis.ts';
import { daysBetween, type Day } from '../base/calendar-day.ts';
import type { Eased, Withheld } from '../client/screening.ts';
import { asChosen, asHardChosen, asWritten } from '../exercise/choice.ts';
import { type Equipment, type ExerciseFamily, type Step } from '../exercise/family.ts';
import type { Limits } from '../posture/problem.ts';
import type { Demand } from '../posture/verdict.ts';
import type { Asked } from '../movement/movement.ts';
import { movementOf } from '../movement/movements.ts';
import { askedBy, usualSetup } from '../movement/of-step.ts';
import { lengthIn, type FitContext, type LungeWay, type SolvedSetup } from '../movement/context.ts';
import { inWay } from '../movement/split-squat/ways.ts';
import { solveSetup, type Once } from './solve.ts';
import {
	carries,
	missingFor,
	NOT_EASED,
	onBedIn,
	positionsFor,
	withheldFrom,
	type PositionNeeds
} from './in-the-way.ts';
import { bothLimits, boundsOf } from './limits-for.ts';
import { asksOf, shortages, type Limiting } from './shortages.ts';

export const VERDICTS = ['fits', 'set-up', 'watch', 'blocked', 'unmeasured'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface StepFit {
	readonly step: string;
	readonly verdict: Verdict;
	/** Demand of the step as it stands, degrees by axis: the larger of both legs. */
	readonly demand: Demand;
	readonly limiting: readonly Limiting[];
	readonly unmeasured: readonly {
		readonly axis: Axis;
		readonly side: Side;
		readonly reason: 'missing' | 'stale';
	}[];
	/** Axes without a value that were taken as usual. */
	readonly assumed: readonly Axis[];
	readonly setup: SolvedSetup | null;
	/** Demand once set up. */
	readonly demandSetUp: Demand | null;
	/** What would open it. */
	readonly unlock:
		| { readonly axis: Axis; readonly side: Side; readonly toDeg: number }
		| { readonly measure: readonly Axis[] }
		| null;
	readonly seen: Day | null;
	/** Which of its tags are withheld, and by which flag or by protocol. */
	readonly withheld: readonly Withheld[];
	/** What open flags ask of it while they let it pass. */
	readonly eased: readonly Eased[];
	/** Equipment that is not at hand; of each, one is enough. */
	readonly missing: readonly (readonly Equipment[])[];
	/** Positions it needs that the client cannot take, or was not asked about. */
	readonly positions: PositionNeeds;
	/** It is done on a bed or couch that is at hand, not on the floor. */
	readonly onBed: boolean;
}

/** Seen doing it, at least as hard a set-up, recently enough: the latest such day. */
function seenDoing(step: Step, ctx: FitContext): Day | null {
	if (ctx.observed === undefined || ctx.observed.length === 0) return null;
	const own = lengthIn(usualSetup(step, ctx.body));
	const days = ctx.observed.filter((o) => {
		if (o.step !== step.id || daysBetween(o.date, ctx.today) > ctx.rules.staleDays) return false;
		if (!asHardChosen(asWritten(step), o.setup.chosen, step.chosen)) return false;
		const done = lengthIn(o.setup);
		if (done === null || own === null) return true;
		// A length of another kind says nothing of this one.
		return done.of === own.of && (done.value - own.value) * done.harder >= 0;
	});
	return days.reduce<Day | null>((m, o) => (m === null || o.date > m ? o.date : m), null);
}

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

const RANK: Readonly<Record<Verdict, number>> = { blocked: 0, unmeasured: 1, 'set-up': 2, watch: 3, fits: 4 };

/** The lunge ways of a step; null for a step that is no lunge, or whose way is given. */
const waysOf = (step: Step, ctx: FitContext): readonly LungeWay[] | null =>
	ctx.lunge === undefined ? (movementOf(step.posture).ways?.(step, ctx) ?? null) : null;

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
	const { unmeasured, assumed } = notKnown(asks);
	const seen = seenDoing(step, ctx);
	const withheld = withheldFrom(step, ctx);
	const eased = easedIn(step, ctx);
	const missing = missingFor(step, ctx);
	const positions = positionsFor(step, ctx);
	const demand = whole(nominal);
	// Written out rather than spread: this object is made for every step of every fit.
	const answer = (
		verdict: Verdict,
		limiting: readonly Limiting[],
		unlock: StepFit['unlock'],
		setup: SolvedSetup | null,
		demandSetUp: Demand | null
	): StepFit => ({
		step: step.id,
		verdict,
		demand,
		limiting,
		unmeasured,
		assumed,
		setup,
		demandSetUp,
		unlock,
		seen,
		withheld,
		eased,
		missing,
		positions,
		onBed: onBedIn(step, ctx)
	});
	if (withheld.length > 0 || missing.length > 0 || positions.some((p) => p.answer === 'no'))
		return answer('blocked', close, null, null, null);
	const protocolShort = over.some((l) => l.by === 'protocol');
	if (seen !== null && !protocolShort) return answer('fits', close, null, null, null);
	const measure = toMeasure(unmeasured);
	// A balance no technique can hold (hips too far behind) is no range question: it blocks like a range that is short.
	if (over.length === 0 && nominal.stands)
		return measure.length > 0
			? answer('unmeasured', close, { measure }, null, null)
			: answer(close.length > 0 ? 'watch' : 'fits', close, null, null, null);
	const found = solveSetup(step, ctx, limits, once);
	const solved =
		found === null ? null : helping(step, ctx, askedBy(step, ctx, found, boundsOf(step, ctx, limits)));
	if (solved === null) return answer('blocked', over, unlockOf(over), null, null);
	if (measure.length > 0) return answer('unmeasured', over, { measure }, null, null);
	return answer('set-up', over, unlockOf(over), found, whole(solved));
}

/** A length can answer for its own ranges only: where another is short (toes, hip back), no depth helps. */
function helping<A extends ReturnType<typeof askedBy>>(step: Step, ctx: FitContext, solved: A): A | null {
	const fine = shortages(step, ctx, asksOf(step, ctx, solved)).every((l) => l.short <= 1e-5);
	return solved.stands && fine ? solved : null;
}

const toMeasure = (unmeasured: StepFit['unmeasured']): readonly Axis[] =>
	unmeasured.length === 0 ? [] : [...new Set(unmeasured.map((u) => u.axis))];

/** What was not measured: of the main axes it is asked for, of the others the usual range is assumed. */
function notKnown(asks: ReturnType<typeof asksOf>): {
	readonly unmeasured: StepFit['unmeasured'];
	readonly assumed: readonly Axis[];
} {
	const unmeasured: { axis: Axis; side: Side; reason: 'missing' | 'stale' }[] = [];
	const assumed: Axis[] = [];
	for (const { limit: l } of asks) {
		if (l.kind !== 'unknown') continue;
		if (isMainAxis(l.axis)) unmeasured.push({ axis: l.axis, side: l.side, reason: l.reason });
		else if (!assumed.includes(l.axis)) assumed.push(l.axis);
	}
	return { unmeasured, assumed };
}

const easedIn = (step: Step, ctx: FitContext): StepFit['eased'] =>
	ctx.eased === undefined || ctx.eased.length === 0
		? NOT_EASED
		: ctx.eased.filter((e) => carries(e.tag, step, ctx));

/** The range that would open it: of what is short, the shortest of all stands first. */
function unlockOf([worst]: readonly Limiting[]): StepFit['unlock'] {
	return worst === undefined
		? null
		: { axis: worst.axis, side: worst.side, toDeg: worst.limit + worst.short };
}

/**
 * What a given set-up asks beyond what is usable (limit less margin), worst first; empty when it is inside. For set-ups that
 * somebody chose rather than the solver.
 */
export function shortAt(written: Step, ctx: FitContext, setup: SolvedSetup | null): readonly Limiting[] {
	const step = asChosen(written, setup?.chosen);
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

const families = new WeakMap<FitContext, Map<ExerciseFamily, readonly StepFit[]>>();

/** Fits a whole family, solving each distinct problem once; for a context that stands, once at all. */
export function fitFamily(family: ExerciseFamily, ctx: FitContext): readonly StepFit[] {
	const known = families.get(ctx) ?? new Map<ExerciseFamily, readonly StepFit[]>();
	families.set(ctx, known);
	const fits = known.get(family) ?? fitSteps(family.steps, ctx);
	known.set(family, fits);
	return fits;
}

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
