/**
 * One step in every technique, side by side: what each can reach within the client's limits, which joint stops it, and what the
 * same set-up asks of knee and hip. Technique only moves load between the joints; depth, load and thigh length set the sum.
 */
import { bandOf, type Band } from '../posture/band.ts';
import { deepestSquat, deepestSquatDeg, heelWedge, lowestSeat, lowestSeatCm, type Solution } from '../posture/inverse.ts';
import { posture, type Moments } from '../posture/posture.ts';
import { TECHNIQUES, type CheckId, type Depth, type Stand, type Technique } from '../posture/problem.ts';
import type { Step } from '../exercise/family.ts';
import { ankleCap, limitsFor, solverLimits, standOf, type FitContext } from './fit.ts';

export interface TechniqueRow {
	readonly technique: Technique | 'ordinary';
	/** Lowest seat in cm, or deepest thigh in degrees; null when no set-up is inside the limits. */
	readonly reach: number | null;
	readonly unit: 'cm' | 'deg';
	readonly limiting: readonly CheckId[];
	/** At the set-up being looked at. */
	readonly moments: Moments;
	readonly trunkLean: number;
}

const withTechnique = (stand: Stand, technique: Technique | 'ordinary'): Stand => {
	const { technique: _, ...rest } = stand;
	return technique === 'ordinary' ? { ...rest, movement: 'sit-to-stand' } : { ...rest, technique };
};

const margined = (step: Step, ctx: FitContext, stand: Stand): Stand => ({ ...stand, limits: solverLimits(limitsFor(step, ctx), stand, false) });

/** All four techniques, and the ordinary rise first where the step has a seat. */
export function compareTechniques(step: Step, ctx: FitContext, depth: Depth): readonly TechniqueRow[] {
	const seat = step.posture.adjust === 'seat';
	const rows: readonly (Technique | 'ordinary')[] = seat && step.posture.stance !== 'one' ? ['ordinary', ...TECHNIQUES] : TECHNIQUES;
	return rows.map((technique) => {
		const stand = margined(step, ctx, withTechnique(standOf(step, ctx), technique));
		const solved: Solution = seat ? lowestSeat(stand) : deepestSquat(stand);
		const at = posture({ ...stand, depth, limits: ankleCap(stand.limits ?? {}) });
		return {
			technique,
			reach: solved.status === 'never-feasible' ? null : solved.value,
			unit: seat ? 'cm' : 'deg',
			limiting: solved.limiting,
			moments: at.moments,
			trunkLean: at.angles.trunkLean
		};
	});
}

/** Error band of the step's solved length within this client's limits. */
export function setupBand(step: Step, ctx: FitContext, samples = 200): Band {
	const stand = margined(step, ctx, standOf(step, ctx));
	return bandOf(stand, step.posture.adjust === 'seat' ? lowestSeatCm : deepestSquatDeg, samples);
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
	const { posture: p } = step;
	if (p.adjust !== 'depth' || p.heelWedgeCm !== undefined) return null;
	const stand = margined(step, ctx, standOf(step, ctx));
	const solved = heelWedge(stand, p.depth);
	if (solved.status !== 'limited') return null;
	const have = (ctx.furniture?.wedges ?? []).filter((cm) => cm >= solved.value - 1e-6).sort((a, b) => a - b)[0];
	return { neededCm: solved.value, band: bandOf(stand, (s) => heelWedge(s, p.depth).value, 60), haveCm: have ?? null };
}
