/**
 * Inverse solutions: from limits to a set-up. Lowest seat, deepest squat, smallest heel wedge.
 * Each is a walk (see `walk.ts`) over the worst slack of the nine checks.
 */
import { DEG, RAD } from '../base/angle.ts';
import { PROPORTION } from '../body/body.ts';
import { chainOf, setWedge, type Chain } from './chain.ts';
import { SLACK_EPSILON } from './constants.ts';
import { depthOf, describe, type Posture } from './posture.ts';
import { hipHeight, newPose, solvePose, type Pose } from './pose.ts';
import { CHECK_UNIT, CHECKS, type CheckId, type Depth, type Stand } from './problem.ts';
import { CHECK_COUNT, fillSlacks, worst } from './slack.ts';
import { bisect, walk, WALK_STEPS, type SolveStatus, type Walk, type Walked } from './walk.ts';

export interface Shortfall {
	readonly check: CheckId;
	readonly by: number;
	readonly unit: 'deg' | 'cm';
}

export interface Solution {
	readonly status: SolveStatus;
	/** Seat height or wedge height in cm, thigh in degrees; NaN when never feasible. */
	readonly value: number;
	readonly unit: 'deg' | 'cm';
	/** Checks within 1° or 0.5 cm of their limit at the solution. */
	readonly limiting: readonly CheckId[];
	readonly at: Posture;
	readonly shortfall?: Shortfall;
}

/** Highest seat worth trying: 98 % of a straight leg, or as high as a fixed shank reaches. */
function highestSeat(chain: Chain): number {
	const { ankleHeightM, shankM, thighM, heightM } = chain.body;
	const straight =
		chain.technique === 'ordinary'
			? chain.ankleY + shankM * Math.cos(chain.shankCap) + thighM
			: 0.98 * (ankleHeightM + shankM + thighM);
	return 100 * (straight - PROPORTION.hipAboveSeat * heightM) + (chain.stand.cushionSinkCm ?? 0);
}

export interface Machine {
	readonly chain: Chain;
	readonly pose: Pose;
	readonly slacks: Float64Array;
}

export const machineOf = (stand: Stand, hasSeat: boolean): Machine => ({
	chain: chainOf(stand, hasSeat),
	pose: newPose(),
	slacks: new Float64Array(CHECK_COUNT)
});

export function worstAt(
	{ chain, pose, slacks }: Machine,
	kind: 'thigh' | 'hip' | 'knee',
	depth: number
): number {
	solvePose(chain, pose, kind, depth);
	fillSlacks(chain, pose, slacks);
	return worst(slacks);
}

/**
 * The lowest seat (cm) from which this body can rise inside its limits.
 * @example 168 cm, 70 kg, feet back, knee ≤ 80°, thigh–trunk ≤ 100° → 57.3 cm (worked example of the model's own sheet)
 */
export function lowestSeat(stand: Stand): Solution {
	const m = machineOf(stand, true);
	const found = walk(seatWalk(m));
	return finish(m, found, 'cm', () => worstAt(m, 'hip', hipHeight(m.chain, found.at)));
}

function seatWalk(m: Machine): Walk {
	return {
		easy: highestSeat(m.chain),
		hard: 5,
		steps: WALK_STEPS,
		slackAt: (seatCm) => worstAt(m, 'hip', hipHeight(m.chain, seatCm)),
		...(m.chain.technique === 'ordinary' ? { tooUpright: () => onlyTooUpright(m) } : {})
	};
}

/** Fails, and only because the centre of mass lies ahead of where this rise keeps it. */
function onlyTooUpright({ slacks }: Machine): boolean {
	for (let i = 0; i < CHECK_COUNT; i++) {
		const upright = CHECKS[i] === 'comBehindToeLimit' || CHECKS[i] === 'reach';
		if (!upright && (slacks[i] as number) < -SLACK_EPSILON) return false;
	}
	return true;
}

/** The deepest squat inside the limits, as thigh inclination in degrees (90 = joint centres level), from 10° to 130°. */
export function deepestSquat(stand: Stand): Solution {
	const m = machineOf(stand, false);
	const slackAt = (deg: number): number => worstAt(m, 'thigh', deg * RAD);
	const found = walk({ easy: 10, hard: 130, steps: WALK_STEPS, slackAt });
	return finish(m, found, 'deg', () => slackAt(found.at));
}

/**
 * The smallest heel wedge (cm of heel height) with which a given depth keeps inside the limits; scanned 0–30° of pitch in half
 * degrees. Status `unlimited` with 0 cm when none is needed.
 */
export function heelWedge(stand: Stand, depth: Depth): Solution {
	const m = machineOf(stand, 'seatCm' in depth);
	const slackAt = (pitchDeg: number): number => {
		setWedge(m.chain, pitchDeg * RAD);
		const [kind, d] = depthOf(m.chain, depth);
		return worstAt(m, kind, d);
	};
	let found: Walked = { status: 'never-feasible', at: 0 };
	let best = { at: 0, slack: -Infinity };
	for (let pitch = 0; pitch <= 30; pitch += 0.5) {
		const slack = slackAt(pitch);
		if (slack > best.slack) best = { at: pitch, slack };
		if (slack < -SLACK_EPSILON) continue;
		found =
			pitch === 0
				? { status: 'unlimited', at: 0 }
				: { status: 'limited', at: bisect(pitch, pitch - 0.5, slackAt) };
		break;
	}
	const shown = found.status === 'never-feasible' ? { status: found.status, at: best.at } : found;
	const solution = finish(m, shown, 'cm', () => slackAt(shown.at));
	return solution.status === 'never-feasible' ? solution : { ...solution, value: 100 * m.chain.heelY };
}

/** Writes out what a walk found; `settle` puts the machine's pose and slacks there. */
export function finish(m: Machine, found: Walked, unit: 'cm' | 'deg', settle: () => unknown): Solution {
	settle();
	const at = describe(m.chain, m.pose);
	if (found.status === 'never-feasible') {
		let index = 0;
		for (let i = 1; i < CHECK_COUNT; i++)
			if ((m.slacks[i] as number) < (m.slacks[index] as number)) index = i;
		const check = CHECKS[index] as CheckId;
		const shortfall = { check, by: -(m.slacks[index] as number), unit: CHECK_UNIT[check] };
		return { status: found.status, value: NaN, unit, limiting: [check], at, shortfall };
	}
	const near = (id: CheckId, slack: number): boolean => slack <= (CHECK_UNIT[id] === 'deg' ? 1 : 0.5);
	const limiting = at.checks.filter((c) => near(c.id, c.slack)).map((c) => c.id);
	return {
		status: found.status,
		value: found.at,
		unit,
		limiting: found.status === 'limited' ? limiting : [],
		at
	};
}

/** Pitch in degrees of a wedge height in cm under this body's heel. */
export const wedgePitchDeg = (stand: Stand, wedgeCm: number): number =>
	Math.asin(Math.min(1, wedgeCm / (70 * stand.body.footM))) * DEG;
