/**
 * One step in every technique, side by side: what each can reach within the client's limits, which joint stops it, and what the
 * same set-up asks of knee and hip. Technique only moves load between the joints; depth, load and thigh length set the sum.
 */
import { bandOf, bandOfBody, type Band } from '../posture/band.ts';
import type { Solution } from '../posture/inverse.ts';
import {
	deepestSquatInBand,
	lowestSeatInBand,
	postureInBand,
	seatInBand,
	squatInBand,
	heelWedgeInBand
} from '../posture/inverse-in-band.ts';
import { lowestSplitSquat, type MovementSolution } from '../posture/inverse-movements.ts';
import { TECHNIQUES, type Stand, type Technique } from '../posture/problem.ts';
import { splitSquat } from '../posture/split-squat.ts';
import { isMainAxis } from '../body/axis.ts';
import type { Step } from '../exercise/family.ts';
import { type JointMoments, jointMoments } from '../movement/movement.ts';
import { movementOf } from '../movement/movements.ts';
import { lengthOf } from '../movement/of-step.ts';
import { splitOf } from '../movement/split-squat/problem.ts';
import type { SplitPosture } from '../exercise/step-posture.ts';
import { lengthIn, type FitContext, type SolvedSetup } from '../movement/context.ts';
import { bothLimits, boundsOf, limitsFor } from './limits-for.ts';
import { asFarAsHolds, solverLimits } from './solve.ts';
import {
	ankleCap,
	depthFor,
	isSquatStep,
	standOf,
	techniqueFor,
	type SquatStep
} from '../movement/squat/stand.ts';

export interface TechniqueRow {
	readonly technique: Technique | 'ordinary';
	/** Lowest seat in cm, or deepest thigh in degrees; null when no set-up is inside the limits. */
	readonly reach: number | null;
	readonly unit: 'cm' | 'deg';
	readonly limiting: readonly string[];
	/** At the set-up being looked at. */
	readonly moments: JointMoments;
	readonly trunkLean: number;
}

const withTechnique = (stand: Stand, technique: Technique | 'ordinary'): Stand => {
	const { technique: _, ...rest } = stand;
	return technique === 'ordinary' ? { ...rest, movement: 'sit-to-stand' } : { ...rest, technique };
};

const margined = (step: SquatStep, ctx: FitContext, stand: Stand): Stand => ({
	...stand,
	limits: solverLimits(limitsFor(step, ctx), step, ctx, false)
});

/** All four techniques, and the ordinary rise first where the step has a seat; none where the movement knows no technique. */
export function compareTechniques(
	step: Step,
	ctx: FitContext,
	setup: SolvedSetup | null
): readonly TechniqueRow[] {
	if (!isMeasured(step, ctx)) return [];
	if (isSquatStep(step)) return squatRows(step, ctx, setup);
	const p = step.posture;
	return p.movement === 'split-squat'
		? TECHNIQUES.map((technique) => splitRow(step, p, { ...ctx, technique }, technique, setup))
		: [];
}

function squatRows(step: SquatStep, ctx: FitContext, setup: SolvedSetup | null): readonly TechniqueRow[] {
	const seat = step.posture.adjust === 'seat';
	const rows: readonly (Technique | 'ordinary')[] =
		seat && step.posture.stance !== 'one' ? ['ordinary', ...TECHNIQUES] : TECHNIQUES;
	return rows.map((technique) => {
		const stand = margined(step, ctx, withTechnique(standOf(step, ctx), technique));
		const solved: Solution = seat ? seatInBand(stand) : squatInBand(stand);
		const at = postureInBand({ ...stand, depth: depthFor(step, setup) }, boundsOf(step, ctx));
		return {
			technique,
			reach: solved.status === 'never-feasible' ? null : solved.value,
			unit: seat ? 'cm' : 'deg',
			limiting: solved.limiting,
			moments: jointMoments(at.moments),
			trunkLean: at.angles.trunkLean
		};
	});
}

function splitRow(
	step: Step,
	p: SplitPosture,
	ctx: FitContext,
	technique: Technique,
	setup: SolvedSetup | null
): TechniqueRow {
	const limits = bothLimits(step, ctx);
	const bounds = solverLimits(limits.working, step, ctx, false);
	const { thighDeg: _, ...problem } = splitOf(step, p, ctx, null, bounds);
	const solved: MovementSolution = lowestSplitSquat({
		...problem,
		rearLimits: solverLimits(limits.other, step, ctx, false)
	});
	const at = splitSquat(splitOf(step, p, ctx, setup, ankleCap(bounds)));
	return {
		technique,
		reach: solved.status === 'never-feasible' ? null : solved.value,
		unit: 'deg',
		limiting: solved.limiting,
		moments: jointMoments(at.moments),
		trunkLean: at.front.trunkLean
	};
}

/** Error band of the step's solved length within this client's limits; null where nothing is solved. */
export function setupBand(step: Step, ctx: FitContext, samples = 200): Band | null {
	if (!isMeasured(step, ctx)) return null;
	if (isSquatStep(step)) {
		const stand = margined(step, ctx, standOf(step, ctx));
		return bandOf(
			stand,
			step.posture.adjust === 'seat' ? (s) => lowestSeatInBand(s) : (s) => deepestSquatInBand(s),
			samples
		);
	}
	if (lengthOf(step.posture) === null) return null;
	const { furniture: _, ...bare } = ctx;
	// As far as this body could go, not only as far as the step usually goes.
	const open = asFarAsItGoes(step);
	return bandOfBody(
		ctx.body,
		{ step: step.id, limits: limitsFor(step, ctx) },
		(body) => {
			const varied = { ...bare, body };
			return lengthIn(asFarAsHolds(open, varied, bothLimits(open, varied)))?.value ?? NaN;
		},
		samples
	);
}

/** The same step without its usual end, so that the solver answers what the limits allow. */
function asFarAsItGoes(step: Step): Step {
	const movement = movementOf(step.posture);
	return movement.unended === undefined ? step : { ...step, posture: movement.unended(step.posture) };
}

/** Every main axis that the step asks has a value or a protocol; without one, how far this body could go is made up. */
const isMeasured = (step: Step, ctx: FitContext): boolean =>
	limitsFor(step, ctx).every((l) => !isMainAxis(l.axis) || l.kind === 'known' || l.allowed !== undefined);

/** The hardest length within the limits for this body, whatever the step usually asks; null where none holds, or nothing is solved. */
export function reachOf(
	step: Step,
	ctx: FitContext
): { readonly value: number; readonly unit: 'cm' | 'deg' } | null {
	if (!isMeasured(step, ctx)) return null;
	if (isSquatStep(step)) {
		const own = compareTechniques(step, ctx, null).find(
			(r) => r.technique === (techniqueFor(step, ctx.technique, ctx.teach) ?? 'ordinary')
		);
		return own === undefined || own.reach === null ? null : { value: own.reach, unit: own.unit };
	}
	const { furniture: _, ...bare } = ctx;
	const open = asFarAsItGoes(step);
	const length = lengthIn(asFarAsHolds(open, bare, bothLimits(open, bare)));
	return length === null ? null : { value: length.value, unit: length.unit };
}

export interface WedgeOption {
	/** Smallest heel height with which the step's own depth keeps inside the limits, cm, with its band. */
	readonly neededCm: number;
	readonly band: Band;
	/** The smallest wedge here that is high enough; null when none is. */
	readonly haveCm: number | null;
}

/** A heel wedge instead of a shallower squat; null when the step has one, needs none, or no wedge helps. */
export function wedgeOption(step: Step, ctx: FitContext): WedgeOption | null {
	if (!isSquatStep(step) || !isMeasured(step, ctx)) return null;
	const { posture: p } = step;
	if (p.adjust !== 'depth' || p.heelWedgeCm !== undefined) return null;
	const stand = margined(step, ctx, standOf(step, ctx));
	const neededCm = heelWedgeInBand(stand, p.depth);
	if (!(neededCm > 0)) return null;
	const have = (ctx.furniture?.wedges ?? []).filter((cm) => cm >= neededCm - 1e-6).sort((a, b) => a - b)[0];
	return { neededCm, band: bandOf(stand, (s) => heelWedgeInBand(s, p.depth), 60), haveCm: have ?? null };
}
