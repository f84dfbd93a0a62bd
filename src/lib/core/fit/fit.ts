/**
 * Fit: what a step demands, held against what the client tolerates.
 *
 * fits: slack after the margin is at least the model's own error on every axis and side; watch: less than that, but not negative;
 * set-up: does not fit as it stands, but does with a solved seat or depth; blocked: no set-up brings it inside; unmeasured: a
 * needed axis has no value, or one too old. Protocol limits are never overridden by what was seen.
 */
import { AXES, MODEL_ERROR, type Axis, type Side } from '../body/axis.ts';
import type { Body } from '../body/body.ts';
import { daysBetween, type Day } from '../base/calendar-day.ts';
import type { Envelope, ProtocolLimit } from '../client/envelope.ts';
import type { ExerciseFamily, Step } from '../exercise/family.ts';
import { deepestSquatDeg, lowestSeatCm } from '../posture/inverse.ts';
import { posture, type Posture } from '../posture/posture.ts';
import type { Depth, Limits, Stand, Technique } from '../posture/problem.ts';
import { buildSeat, type Build, type Furniture } from './furniture.ts';
import { axisLimit, type AxisLimit } from './limits.ts';
import type { FitRules } from './rules.ts';

export const VERDICTS = ['fits', 'set-up', 'watch', 'blocked', 'unmeasured'] as const;
export type Verdict = (typeof VERDICTS)[number];

export interface Observed {
	readonly step: string;
	readonly setup: { readonly seatCm?: number; readonly thighDeg?: number };
	readonly date: Day;
}

export interface FitContext {
	readonly body: Body;
	/** The technique being taught; undefined is the ordinary rise for seats and parallel for squats. */
	readonly technique?: Technique;
	readonly rules: FitRules;
	readonly today: Day;
	readonly envelope: Envelope;
	readonly protocolLimits?: readonly ProtocolLimit[];
	readonly furniture?: Furniture;
	readonly observed?: readonly Observed[];
	/** Side that works in one-sided steps; left out, both are asked. */
	readonly side?: Side;
	/** The technique is being taught, so that even daily seats are done in it. */
	readonly teach?: boolean;
}

export interface Limiting {
	readonly axis: Axis;
	readonly side: Side;
	readonly demand: number;
	readonly limit: number;
	readonly short: number;
	readonly by: 'tolerated' | 'protocol';
}

export interface SolvedSetup {
	readonly seatCm?: number;
	readonly thighDeg?: number;
	readonly heelWedgeCm?: number;
	readonly build?: Build;
}

export interface StepFit {
	readonly step: string;
	readonly verdict: Verdict;
	/** Demand of the step as it stands, degrees by axis. */
	readonly demand: Readonly<Record<Axis, number>>;
	readonly limiting: readonly Limiting[];
	readonly unmeasured: readonly { readonly axis: Axis; readonly side: Side; readonly reason: 'missing' | 'stale' }[];
	readonly setup: SolvedSetup | null;
	/** Demand once set up. */
	readonly demandSetUp: Readonly<Record<Axis, number>> | null;
	/** What would open it. */
	readonly unlock: { readonly axis: Axis; readonly side: Side; readonly toDeg: number } | { readonly measure: readonly Axis[] } | null;
	readonly seen: Day | null;
}

/** A useful squat is at least a quarter squat. @source common-practice */
const LEAST_THIGH = 30;
/** Above this a seat is a perch, not a chair. @source common-practice */
const HIGHEST_SEAT = 75;

/** The technique a step is done in by this client; undefined is the ordinary rise. */
export function techniqueFor(step: Step, technique: Technique | undefined, teach = false): Technique | undefined {
	if (step.posture.technique !== undefined) return step.posture.technique;
	if (step.posture.everyday === true && !teach) return undefined;
	return technique ?? 'parallel';
}

/** The stand problem of a step for a client, without depth or limits. */
export function standOf(step: Step, ctx: FitContext): Stand {
	const p = step.posture;
	const technique = techniqueFor(step, ctx.technique, ctx.teach);
	return {
		body: ctx.body,
		movement: p.movement,
		stance: p.stance,
		...(technique === undefined ? {} : { technique }),
		...(p.heelWedgeCm === undefined ? {} : { heelWedgeCm: p.heelWedgeCm }),
		...(p.toeOutDeg === undefined ? {} : { toeOutDeg: p.toeOutDeg }),
		...(p.load === undefined ? {} : { load: p.load })
	};
}

/** Error of a demand: a feet-back rise swings on the trunk, so its hip band is wider. @source common-practice posture bands */
export const errorOf = (axis: Axis, stand: Stand): number =>
	axis === 'thighTrunkFlexion' && stand.movement === 'sit-to-stand' && stand.technique === undefined ? 9 : MODEL_ERROR[axis];

/** Limits depend on the context and on two facts of a step; a context never changes, so they are kept with it. */
const limitsOf = new WeakMap<FitContext, Map<string, readonly AxisLimit[]>>();

/** The limits of all axes and of the sides a step uses. */
export function limitsFor(step: Step, ctx: FitContext): readonly AxisLimit[] {
	const oneSided = step.posture.stance !== 'both' && ctx.side !== undefined;
	const loaded = step.posture.load !== undefined;
	const key = `${oneSided}|${loaded}`;
	let known = limitsOf.get(ctx);
	if (known === undefined) limitsOf.set(ctx, (known = new Map()));
	const found = known.get(key);
	if (found !== undefined) return found;
	const sides: readonly Side[] = oneSided ? [ctx.side as Side] : ['left', 'right'];
	const limits = AXES.flatMap((axis) => sides.map((side) => axisLimit(axis, side, ctx.envelope, ctx.protocolLimits ?? [], ctx.rules, ctx.today, loaded)));
	known.set(key, limits);
	return limits;
}

/** Smallest known limit less its margin, by axis; kept with the array it was read from. */
const tightest = new WeakMap<readonly AxisLimit[], Readonly<Record<Axis, number>>>();

function tightestOf(limits: readonly AxisLimit[]): Readonly<Record<Axis, number>> {
	const known = tightest.get(limits);
	if (known !== undefined) return known;
	const tight = { kneeFlexion: Infinity, thighTrunkFlexion: Infinity, weightBearingDorsiflexion: Infinity };
	for (const l of limits) if (l.kind === 'known') tight[l.axis] = Math.min(tight[l.axis], l.limit - l.margin);
	tightest.set(limits, tight);
	return tight;
}

/** The tightest known limits as the solver wants them, already less margin and, if asked, the model's error. */
export function solverLimits(limits: readonly AxisLimit[], stand: Stand, withError: boolean): Limits {
	const tight = tightestOf(limits);
	const out: { kneeFlexionDeg?: number; thighTrunkFlexionDeg?: number; weightBearingDorsiflexionDeg?: number } = {};
	const less = (axis: Axis): number => tight[axis] - (withError ? errorOf(axis, stand) : 0);
	if (tight.kneeFlexion !== Infinity) out.kneeFlexionDeg = less('kneeFlexion');
	if (tight.thighTrunkFlexion !== Infinity) out.thighTrunkFlexionDeg = less('thighTrunkFlexion');
	if (tight.weightBearingDorsiflexion !== Infinity) out.weightBearingDorsiflexionDeg = less('weightBearingDorsiflexion');
	return out;
}

const demandOf = (p: Posture): Record<Axis, number> => ({
	kneeFlexion: p.angles.kneeFlexion,
	thighTrunkFlexion: p.angles.thighTrunkFlexion,
	weightBearingDorsiflexion: p.angles.weightBearingDorsiflexion
});

/** Where the demand comes closer to a limit than the model's own error, or goes past it; worst first. */
function shortages(limits: readonly AxisLimit[], demand: Record<Axis, number>, stand: Stand): Limiting[] {
	const out: Limiting[] = [];
	for (const l of limits) {
		if (l.kind !== 'known') continue;
		const short = demand[l.axis] - (l.limit - l.margin);
		if (short > 1e-6 - errorOf(l.axis, stand)) out.push({ axis: l.axis, side: l.side, demand: demand[l.axis], limit: l.limit, short, by: l.by });
	}
	return out.sort((a, b) => b.short - a.short);
}

/** Seen doing it, at least as deep, recently enough: the latest such day. */
function seenDoing(step: Step, ctx: FitContext): Day | null {
	const { depth } = step.posture;
	const days = (ctx.observed ?? []).filter((o) => {
		if (o.step !== step.id || daysBetween(o.date, ctx.today) > ctx.rules.staleDays) return false;
		if ('seatCm' in depth) return o.setup.seatCm === undefined || o.setup.seatCm <= depth.seatCm;
		return !('thighDeg' in depth) || o.setup.thighDeg === undefined || o.setup.thighDeg >= depth.thighDeg;
	});
	return days.reduce<Day | null>((m, o) => (m === null || o.date > m ? o.date : m), null);
}

/** Only the ankle steers a technique; the other limits are judged, not steered by. */
export const ankleCap = ({ weightBearingDorsiflexionDeg: ankle }: Limits): Limits => (ankle === undefined ? {} : { weightBearingDorsiflexionDeg: Math.max(0, ankle) });

/** Fits one step. */
export function fitStep(step: Step, ctx: FitContext, once?: Once): StepFit {
	const stand = standOf(step, ctx);
	const limits = limitsFor(step, ctx);
	const nominal = posture({ ...stand, depth: step.posture.depth, limits: ankleCap(solverLimits(limits, stand, true)) });
	const demand = demandOf(nominal);
	const close = shortages(limits, demand, stand);
	const over = close.filter((l) => l.short > 1e-6);
	const unmeasured = limits.filter((l) => l.kind === 'unknown').map(({ axis, side, reason }) => ({ axis, side, reason }));
	const seen = seenDoing(step, ctx);
	// A balance no technique can hold (hips too far behind) is no range question: it blocks like a range that is short.
	const stands = nominal.checks.every((c) => c.id === 'weightBearingDorsiflexion' || c.slack >= -1e-6);
	const base = { step: step.id, demand, unmeasured, seen, setup: null, demandSetUp: null };
	const protocolShort = over.some((l) => l.by === 'protocol');
	if (seen !== null && !protocolShort) return { ...base, verdict: 'fits', limiting: close, unlock: null };
	const measure = [...new Set(unmeasured.map((u) => u.axis))];
	if (over.length === 0 && stands) {
		if (measure.length > 0) return { ...base, verdict: 'unmeasured', limiting: close, unlock: { measure } };
		return { ...base, verdict: close.length > 0 ? 'watch' : 'fits', limiting: close, unlock: null };
	}
	const found = solveSetup(step, ctx, stand, limits, once);
	const worst = over[0];
	const unlock = worst === undefined ? null : { axis: worst.axis, side: worst.side, toDeg: worst.limit + worst.short };
	if (found === null) return { ...base, verdict: 'blocked', limiting: over, unlock };
	if (measure.length > 0) return { ...base, verdict: 'unmeasured', limiting: over, unlock: { measure } };
	const { setup } = found;
	const solved = posture({ ...stand, depth: depthFor(step, setup), limits: ankleCap(found.limits) });
	return { ...base, verdict: 'set-up', limiting: over, setup, demandSetUp: demandOf(solved), unlock };
}

/** The stand problem of a step in a given set-up: its own wedge, or the set-up's. */
export function standAt(step: Step, ctx: FitContext, setup: SolvedSetup | null): Stand {
	const stand = standOf(step, ctx);
	return setup?.heelWedgeCm === undefined ? stand : { ...stand, heelWedgeCm: setup.heelWedgeCm };
}

/**
 * What a given set-up asks beyond what is usable (limit less margin), worst first; empty when it is inside. For set-ups that
 * somebody chose rather than the solver.
 */
export function shortAt(step: Step, ctx: FitContext, setup: SolvedSetup | null): readonly Limiting[] {
	const stand = standAt(step, ctx, setup);
	const limits = limitsFor(step, ctx);
	const p = posture({ ...stand, depth: depthFor(step, setup), limits: ankleCap(solverLimits(limits, stand, false)) });
	return shortages(limits, demandOf(p), stand).filter((l) => l.short > ROUNDING);
}

/** Set-ups are whole centimetres and degrees: half a degree of rounding is no violation. */
const ROUNDING = 0.5;

/** The depth of a step once set up. */
export const depthFor = (step: Step, setup: SolvedSetup | null): Depth =>
	setup?.seatCm !== undefined ? { seatCm: setup.seatCm } : setup?.thighDeg !== undefined ? { thighDeg: setup.thighDeg } : step.posture.depth;

/** Runs a solve, or remembers it: `fitFamily` solves each distinct problem once. */
export type Once = (key: string, work: () => number) => number;
const always: Once = (_, work) => work();

/**
 * Solves the step's own length: a seat rounded up to a whole centimetre (then to what the room can build), a depth rounded down
 * to a whole degree. First with the model's error kept free, then, if that has no answer, with the margin alone.
 */
export function solveSetup(step: Step, ctx: FitContext, stand: Stand, limits: readonly AxisLimit[], once: Once = always): { readonly setup: SolvedSetup; readonly limits: Limits } | null {
	for (const withError of [true, false]) {
		const bounded = { ...stand, limits: solverLimits(limits, stand, withError) };
		const seat = step.posture.adjust === 'seat';
		const value = once(once === always ? '' : problemKey(step, bounded), () => (seat ? lowestSeatCm(bounded) : deepestSquatDeg(bounded)));
		const setup = seat ? seatSetup(value, step, ctx) : depthSetup(value, step);
		if (setup !== null) return { setup, limits: bounded.limits };
	}
	return null;
}

function problemKey(step: Step, { technique, limits = {} }: Stand): string {
	const { adjust, stance, toeOutDeg, heelWedgeCm, load } = step.posture;
	const { kneeFlexionDeg, thighTrunkFlexionDeg, weightBearingDorsiflexionDeg } = limits;
	return [adjust, stance, technique, toeOutDeg, heelWedgeCm, load?.at, load?.kg, kneeFlexionDeg, thighTrunkFlexionDeg, weightBearingDorsiflexionDeg].join('|');
}

function seatSetup(lowest: number, step: Step, ctx: FitContext): SolvedSetup | null {
	const nominal = 'seatCm' in step.posture.depth ? step.posture.depth.seatCm : 0;
	const needed = Math.max(nominal, Math.ceil(lowest - 1e-6));
	if (!(needed <= HIGHEST_SEAT)) return null;
	if (ctx.furniture === undefined) return { seatCm: needed };
	const build = buildSeat(needed, ctx.furniture);
	if (build === undefined || build.short > 0) return null;
	return { seatCm: build.reaches, build };
}

function depthSetup(deepest: number, step: Step): SolvedSetup | null {
	const nominal = 'thighDeg' in step.posture.depth ? step.posture.depth.thighDeg : 90;
	const deg = Math.min(nominal, Math.floor(deepest + 1e-6));
	return deg >= LEAST_THIGH ? { thighDeg: deg } : null;
}

/** Fits a whole family, solving each distinct problem once. */
export function fitFamily(family: ExerciseFamily, ctx: FitContext): readonly StepFit[] {
	const solved = new Map<string, number>();
	const once: Once = (key, work) => {
		const known = solved.get(key) ?? work();
		solved.set(key, known);
		return known;
	};
	return family.steps.map((step) => fitStep(step, ctx, once));
}
