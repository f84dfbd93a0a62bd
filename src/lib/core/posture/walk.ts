/**
 * Walking a set-up from easy to hard. Worst slack is taken as a function of the set-up; the walk stops at the FIRST violation and only
 * that cell is bisected. Slack is not monotone over the whole range (in a squat the ankle's demand peaks with the thigh level and falls
 * below it), so bisecting the whole range could step over a forbidden zone.
 */
import { SLACK_EPSILON } from './constants.ts';

export type SolveStatus = 'limited' | 'unlimited' | 'never-feasible';

export const WALK_STEPS = 60;
/** Cells of a walk whose answer is rounded to whole units: slack is smooth, a peak between two of them is under a tenth of a degree. */
export const ROUGH_STEPS = 40;

/** What a walk needs: put the chain into set-up s, and say the worst slack there. */
export interface Walk {
	readonly easy: number;
	readonly hard: number;
	readonly steps: number;
	readonly slackAt: (s: number) => number;
	/** True while the pose fails only for being too upright: the walk goes on until it sits (feet-back rises). */
	readonly tooUpright?: () => boolean;
}

/** Cell width at which bisection ends: for an answer that is written out, and for one that is rounded to whole units. */
const FINE = 1e-7;
export const ROUGH = 1e-3;

export interface Walked {
	readonly status: SolveStatus;
	readonly at: number;
}

export function walk({ easy, hard, steps, slackAt, tooUpright }: Walk, precision = FINE): Walked {
	let inside = easy;
	let started = false;
	for (let i = 0; i <= steps; i++) {
		const s = easy + ((hard - easy) * i) / steps;
		if (slackAt(s) >= -SLACK_EPSILON) {
			inside = s;
			started = true;
		} else if (started) {
			return { status: 'limited', at: bisect(inside, s, slackAt, precision) };
		} else if (tooUpright === undefined || !tooUpright()) {
			return { status: 'never-feasible', at: i === 0 ? easy : s };
		}
	}
	return started ? { status: 'unlimited', at: hard } : { status: 'never-feasible', at: easy };
}

/** Narrows the cell between a feasible and an infeasible set-up; answers the feasible end. */
export function bisect(
	inside: number,
	outside: number,
	slackAt: (s: number) => number,
	precision = FINE
): number {
	let a = inside;
	let b = outside;
	for (let i = 0; i < 40 && Math.abs(b - a) > precision; i++) {
		const mid = 0.5 * (a + b);
		// Half the tolerance: another start of the root search must not push the answer over it.
		if (slackAt(mid) >= -0.5 * SLACK_EPSILON) a = mid;
		else b = mid;
	}
	return a;
}
