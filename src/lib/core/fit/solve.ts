/**
 * Solving a step's own length for a client: seat, depth, step, handle, sled or feet, rounded to the safe side and to what the room can build.
 */
import { MODEL_ERROR, type Axis } from '../body/axis.ts';
import type { Step } from '../exercise/family.ts';
import type { StepPosture } from '../exercise/step-posture.ts';
import { deepestSquatInBand, highestStepDownInBand, lowestSeatInBand } from '../posture/inverse-in-band.ts';
import {
	bridgeFeet,
	deepestSledCm,
	highestStepCm,
	lowestHandleCm,
	lowestSplitSquatDeg
} from '../posture/inverse-movements.ts';
import type { Limits } from '../posture/problem.ts';
import { errorOf, PELVIS_GIVES, splitOf, stepDownOf, SWING_CLEARANCE } from './asked.ts';
import type { FitContext, SolvedSetup } from './context.ts';
import { buildSeat } from './furniture.ts';
import type { AxisLimit } from './limits.ts';
import { isSquatStep, standOf } from './squat-stand.ts';
import { benchFor, handleFor } from './usual-setup.ts';

/** A useful squat is at least a quarter squat. @source common-practice */
const LEAST_THIGH = 30;
/** Above this a seat is a perch, not a chair. @source common-practice */
const HIGHEST_SEAT = 75;
/** A step lower than this is a line on the floor. @source common-practice */
const LEAST_STEP = 4;
/** A handle higher than this asks no hinge. @source common-practice */
const HIGHEST_HANDLE = 95;

/** A sled farther than this share of the leg, in percent, bends no knee. @source common-practice */
const FARTHEST_SLED = 95;

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
	if (isSquatStep(step)) return step.posture.adjust === 'seat' ? highestSeat(ctx) : { thighDeg: LEAST_THIGH };
	switch (p.movement) {
		case 'step-up':
		case 'step-down':
			return stepSetup(lowestStep(ctx), p.stepCm, ctx);
		case 'split-squat':
			return { thighDeg: LEAST_THIGH };
		case 'hinge':
			return { handleCm: HIGHEST_HANDLE };
		case 'leg-press':
			return { sledCm: Math.floor(FARTHEST_SLED * (ctx.body.shankM + ctx.body.thighM)) };
		default:
			return hardestWithin(step, ctx, limits, false, once);
	}
}

function highestSeat({ furniture }: FitContext): SolvedSetup | null {
	if (furniture === undefined) return { seatCm: HIGHEST_SEAT };
	const most = buildSeat(HIGHEST_SEAT, furniture);
	const build = most === undefined ? undefined : buildSeat(most.reaches, furniture);
	return build === undefined ? null : { seatCm: build.reaches, build };
}

function lowestStep({ furniture }: FitContext): number {
	const here = (furniture?.steps ?? []).filter((cm) => cm >= LEAST_STEP);
	return here.length === 0 ? LEAST_STEP : Math.min(...here);
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
	const { body } = ctx;
	const run = (work: () => number): number => once(limits, once === always ? 0 : postureKey(p), work);
	if (isSquatStep(step)) {
		const stand = { ...standOf(step, ctx), limits };
		const { depth } = step.posture;
		if (step.posture.adjust === 'seat')
			return seatSetup(
				run(() => lowestSeatInBand(stand, 'seatCm' in depth ? depth.seatCm : 0)),
				step,
				ctx
			);
		const most = 'thighDeg' in depth ? depth.thighDeg : 90;
		return depthSetup(
			run(() => deepestSquatInBand(stand, most)),
			most
		);
	}
	switch (p.movement) {
		case 'step-up':
			return stepSetup(
				run(() =>
					highestStepCm({
						body,
						limits,
						swingClearanceDeg: SWING_CLEARANCE,
						...(p.load === undefined ? {} : { load: p.load })
					})
				),
				p.stepCm,
				ctx
			);
		case 'step-down':
			return stepSetup(
				run(() => highestStepDownInBand({ ...stepDownOf(step, ctx, null), limits }, p.stepCm)),
				p.stepCm,
				ctx
			);
		case 'split-squat': {
			const { thighDeg: _, ...problem } = splitOf(step, ctx, null, limits);
			return depthSetup(
				run(() => lowestSplitSquatDeg({ ...problem, rearLimits })),
				p.thighDeg ?? 130
			);
		}
		case 'hinge': {
			const cm = run(() =>
				lowestHandleCm({
					body,
					limits,
					close: p.close,
					loadKg: p.load?.kg ?? 0,
					...(p.bar === undefined ? {} : { bar: p.bar }),
					...(p.oneLeg === true ? { oneLeg: true } : {})
				})
			);
			const handleCm = Math.max(handleFor(p, body), Math.ceil(cm - 1e-6));
			return handleCm <= HIGHEST_HANDLE ? { handleCm } : null;
		}
		case 'leg-press': {
			const cm = run(() =>
				deepestSledCm({ body, limits: rangesOf(limits), railDeg: p.railDeg, backDeg: p.backDeg })
			);
			const sledCm = Math.max(p.sledCm, Math.ceil(cm - 1e-6));
			return sledCm <= FARTHEST_SLED * (body.shankM + body.thighM) ? { sledCm } : null;
		}
		case 'bridge': {
			const feet = bridgeFeet(
				{
					body,
					limits,
					legs: p.legs,
					...benchFor(p, body),
					...(p.footCm === undefined ? {} : { footCm: p.footCm })
				},
				p.kneeDeg
			);
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
	const stepCm =
		here.length === 0 ? most : here.filter((cm) => cm <= most).reduce((m, cm) => Math.max(m, cm), 0);
	return stepCm >= LEAST_STEP ? { stepCm } : null;
}
