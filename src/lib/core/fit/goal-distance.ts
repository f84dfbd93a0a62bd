/**
 * Distance to a goal that is a point on a ladder: edges still to climb, centimetres still to lower, degrees still missing. Worked out
 * from today's step and this client's fit; it says how far, not how long.
 */
import type { Axis, Side } from '../body/axis.ts';
import type { LadderPoint } from '../client/goal.ts';
import { stepOf, type Dose, type ExerciseFamily, type Step } from '../exercise/family.ts';
import { lengthOf } from '../movement/of-step.ts';
import { reachOf } from './compare-techniques.ts';
import type { FitContext } from '../movement/context.ts';
import { fitStep, type StepFit } from './fit.ts';
import { bothLimits } from './limits-for.ts';
import { asFarAsHolds } from './solve.ts';
import { isSquatStep } from '../movement/squat/stand.ts';

export interface GoalDistance {
	/** Edges from the current step; null when no path leads there, or nothing is prescribed yet. */
	readonly edges: number | null;
	/** The height today's ranges allow, and how far from the goal it lies; null where the goal has no height. */
	readonly height: 'seat' | 'step' | null;
	readonly heightNow: number | null;
	readonly cmToGo: number | null;
	readonly short: { readonly axis: Axis; readonly side: Side; readonly degrees: number } | null;
	/** The dose that is wanted and the one prescribed on that step now; null where the goal names none. */
	readonly dose: { readonly wanted: Dose; readonly now: Dose | null; readonly met: boolean } | null;
	readonly verdict: StepFit['verdict'];
	readonly reached: boolean;
}

/** The step as it would be at the goal's own height: a seat, or a step. */
function stepAt(step: Step, heightCm: number | undefined): Step {
	if (heightCm === undefined) return step;
	const p = step.posture;
	if (isSquatStep(step) && step.posture.adjust === 'seat')
		return { ...step, posture: { ...step.posture, depth: { seatCm: heightCm } } };
	return 'stepCm' in p ? { ...step, posture: { ...p, stepCm: heightCm } } : step;
}

/** Does the goal's height matter to this step? */
export const takesHeight = (step: Step): 'seat' | 'step' | null => {
	const length = lengthOf(step.posture);
	return length === 'seatCm' ? 'seat' : length === 'stepCm' ? 'step' : null;
};

/** Dose of the goal against the dose on its step; sets and repetitions must both be there. A goal of repetitions alone is one set. */
function doseOf({ sets, reps }: LadderPoint, now: Dose | null): GoalDistance['dose'] {
	if (reps === undefined) return null;
	const wanted = { sets: sets ?? 1, reps };
	return { wanted, now, met: now !== null && now.sets >= wanted.sets && now.reps >= wanted.reps };
}

/** The height that can be done now, cm: the lowest seat, or the highest step. */
function heightReached(wanted: Step, height: 'seat' | 'step' | null, ctx: FitContext): number | null {
	if (height === null) return null;
	return height === 'seat'
		? (asFarAsHolds(wanted, ctx, bothLimits(wanted, ctx))?.seatCm ?? null)
		: floored(reachOf(wanted, ctx)?.value);
}

/** How far it is from there to the goal's height, cm: a seat goes down to it, a step up. */
function toGo(height: 'seat' | 'step' | null, now: number | null, goal: number | undefined): number | null {
	if (now === null || goal === undefined) return null;
	return Math.max(0, height === 'seat' ? now - goal : goal - now);
}

/** Undefined when the family does not know the step. `current` is the step prescribed on that ladder, and its dose. */
export function goalDistance(
	family: ExerciseFamily,
	point: LadderPoint,
	current: { readonly step: string; readonly dose: Dose } | undefined,
	ctx: FitContext
): GoalDistance | undefined {
	const step = stepOf(family, point.step);
	if (step === undefined) return undefined;
	const wanted = stepAt(step, point.heightCm);
	const fit = fitStep(wanted, ctx);
	const height = point.heightCm === undefined ? null : takesHeight(step);
	const heightNow = heightReached(wanted, height, ctx);
	const open = fit.verdict === 'fits' || fit.verdict === 'watch';
	const worst = fit.limiting.find((l) => l.short > 0);
	const edges = current === undefined ? null : pathLength(family, current.step, point.step);
	const dose = doseOf(point, edges === 0 && current !== undefined ? current.dose : null);
	return {
		edges,
		height,
		heightNow,
		cmToGo: open && heightNow !== null ? 0 : toGo(height, heightNow, point.heightCm),
		short: worst === undefined ? null : { axis: worst.axis, side: worst.side, degrees: worst.short },
		dose,
		verdict: fit.verdict,
		reached: edges === 0 && open && dose?.met !== false
	};
}

/** Fewest edges of the ladder from one step to another; null when none lead there. */
export function pathLength(family: ExerciseFamily, from: string, to: string): number | null {
	const seen = new Map<string, number>([[from, 0]]);
	const todo = [from];
	for (let id = todo.shift(); id !== undefined; id = todo.shift()) {
		const far = seen.get(id) as number;
		if (id === to) return far;
		for (const e of stepOf(family, id)?.next ?? [])
			if (!seen.has(e.to)) {
				seen.set(e.to, far + 1);
				todo.push(e.to);
			}
	}
	return null;
}

const floored = (cm: number | undefined): number | null =>
	cm === undefined || !Number.isFinite(cm) ? null : Math.floor(cm);
