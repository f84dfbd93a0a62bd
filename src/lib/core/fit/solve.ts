/**
 * Solving a step's own length for a client: seat, depth, step, handle, sled or feet, rounded to the safe side and to what the room can
 * build. First with the model's error kept free, then, if that has no answer, with the margin alone.
 */
import { MODEL_ERROR, type Axis } from '../body/axis.ts';
import type { Step } from '../exercise/family.ts';
import type { StepPosture } from '../exercise/step-posture.ts';
import { bridgeFeet, deepestSledCm, highestStepCm, highestStepDownCm, lowestHandleCm, lowestSplitSquatDeg } from '../posture/inverse-movements.ts';
import { deepestSquatDeg, lowestSeatCm } from '../posture/inverse.ts';
import type { Limits } from '../posture/problem.ts';
import { errorOf, PELVIS_GIVES, splitOf, stepDownOf, SWING_CLEARANCE } from './asked.ts';
import type { FitContext, SolvedSetup } from './context.ts';
import { buildSeat } from './furniture.ts';
import type { AxisLimit } from './limits.ts';
import { isSquatStep, standOf, within } from './squat-stand.ts';

/** A useful squat is at least a quarter squat. @source common-practice */
const LEAST_THIGH = 30;
/** Above this a seat is a perch, not a chair. @source common-practice */
const HIGHEST_SEAT = 75;
/** A step lower than this is a line on the floor. @source common-practice */
const LEAST_STEP = 4;
/** A handle higher than this asks no hinge. @source common-practice */
const HIGHEST_HANDLE = 95;

const KEY: Readonly<Record<Axis, keyof Limits>> = {
	kneeFlexion: 'kneeFlexionDeg',
	thighTrunkFlexion: 'thighTrunkFlexionDeg',
	weightBearingDorsiflexion: 'weightBearingDorsiflexionDeg',
	straightLegRaise: 'straightLegRaiseDeg',
	hipExtension: 'hipExtensionDeg',
	bigToeExtension: 'bigToeExtensionDeg'
};

/** Worked out once for a list of limits: without error, with it, and with the wider one of a feet-back rise. */
const bounds = new WeakMap<readonly AxisLimit[], [Limits?, Limits?, Limits?]>();

/** The tightest known limits as the solver wants them, already less margin and, if asked, the model's error. The same object each time. */
export function solverLimits(limits: readonly AxisLimit[], step: Step, ctx: FitContext, withError: boolean): Limits {
	const kind = !withError ? 0 : errorOf('thighTrunkFlexion', step, ctx) === MODEL_ERROR.thighTrunkFlexion ? 1 : 2;
	let known = bounds.get(limits);
	if (known === undefined) bounds.set(limits, (known = []));
	return (known[kind] ??= tightestOf(limits, step, ctx, withError));
}

function tightestOf(limits: readonly AxisLimit[], step: Step, ctx: FitContext, withError: boolean): Limits {
	const out: { -readonly [K in keyof Limits]: number } = {};
	for (const l of limits) {
		const key = KEY[l.axis];
		const error = errorOf(l.axis, step, ctx);
		const given = l.axis === 'hipExtension' && step.posture.movement === 'split-squat' ? PELVIS_GIVES : 0;
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

export function solveSetup(step: Step, ctx: FitContext, limits: BothLimits, once: Once = always): { readonly setup: SolvedSetup; readonly limits: Limits } | null {
	for (const withError of [true, false]) {
		const bounds = solverLimits(limits.working, step, ctx, withError);
		const setup = solved(step, ctx, bounds, solverLimits(limits.other, step, ctx, withError), once);
		if (setup !== null) return { setup, limits: bounds };
	}
	return null;
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

function solved(step: Step, ctx: FitContext, limits: Limits, rearLimits: Limits, once: Once): SolvedSetup | null {
	const p = step.posture;
	const { body } = ctx;
	const run = (work: () => number): number => once(limits, once === always ? 0 : postureKey(p), work);
	if (isSquatStep(step)) {
		const stand = within(standOf(step, ctx), limits);
		return step.posture.adjust === 'seat' ? seatSetup(run(() => lowestSeatCm(stand)), step, ctx) : depthSetup(run(() => deepestSquatDeg(stand)), 'thighDeg' in step.posture.depth ? step.posture.depth.thighDeg : 90);
	}
	switch (p.movement) {
		case 'step-up':
			return stepSetup(run(() => highestStepCm({ body, limits, swingClearanceDeg: SWING_CLEARANCE, ...(p.load === undefined ? {} : { load: p.load }) })), p.stepCm, ctx);
		case 'step-down':
			return stepSetup(run(() => highestStepDownCm(stepDownOf(step, ctx, null, limits))), p.stepCm, ctx);
		case 'split-squat': {
			const { thighDeg: _, ...problem } = splitOf(step, ctx, null, limits);
			return depthSetup(run(() => lowestSplitSquatDeg({ ...problem, rearLimits })), p.thighDeg ?? 130);
		}
		case 'hinge': {
			const cm = run(() => lowestHandleCm({ body, limits, close: p.close, loadKg: p.load?.kg ?? 0, ...(p.bar === undefined ? {} : { bar: p.bar }), ...(p.oneLeg === true ? { oneLeg: true } : {}) }));
			const handleCm = Math.max(p.handleCm, Math.ceil(cm - 1e-6));
			return handleCm <= HIGHEST_HANDLE ? { handleCm } : null;
		}
		case 'leg-press': {
			const cm = run(() => deepestSledCm({ body, limits: rangesOf(limits), railDeg: p.railDeg, backDeg: p.backDeg }));
			const sledCm = Math.max(p.sledCm, Math.ceil(cm - 1e-6));
			return sledCm <= 95 * (body.shankM + body.thighM) ? { sledCm } : null;
		}
		case 'bridge': {
			const feet = bridgeFeet({ body, limits, legs: p.legs, ...(p.shoulderCm === undefined ? {} : { shoulderCm: p.shoulderCm }), ...(p.footCm === undefined ? {} : { footCm: p.footCm }) }, p.kneeDeg);
			return feet.status === 'never-feasible' ? null : { feetCm: Math.ceil(feet.value - 1e-6) };
		}
		default:
			return null;
	}
}

/** The plate can be tilted for the ankle: a press is bounded by knee and fold. */
const rangesOf = ({ weightBearingDorsiflexionDeg: _, ...rest }: Limits): Limits => rest;

function seatSetup(lowest: number, step: Step, ctx: FitContext): SolvedSetup | null {
	const p = step.posture;
	const nominal = 'depth' in p && 'seatCm' in p.depth ? p.depth.seatCm : 0;
	const needed = Math.max(nominal, Math.ceil(lowest - 1e-6));
	if (!(needed <= HIGHEST_SEAT)) return null;
	if (ctx.furniture === undefined) return { seatCm: needed };
	const build = buildSeat(needed, ctx.furniture);
	if (build === undefined || build.short > 0) return null;
	return { seatCm: build.reaches, build };
}

function depthSetup(deepest: number, nominal: number): SolvedSetup | null {
	const deg = Math.min(nominal, Math.floor(deepest + 1e-6));
	return deg >= LEAST_THIGH ? { thighDeg: deg } : null;
}

/** The highest step here that is no higher than what was solved; the number itself where the room names no steps. */
function stepSetup(highest: number, nominal: number, ctx: FitContext): SolvedSetup | null {
	const most = Math.min(nominal, Math.floor(highest + 1e-6));
	const here = ctx.furniture?.steps ?? [];
	const stepCm = here.length === 0 ? most : here.filter((cm) => cm <= most).reduce((m, cm) => Math.max(m, cm), 0);
	return stepCm >= LEAST_STEP ? { stepCm } : null;
}
