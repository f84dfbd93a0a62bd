/**
 * Forward and inverse solutions over a technique's band: the posture to show, the lowest seat, the deepest squat and the highest step-down in
 * whole units, the smallest wedge.
 *
 * A walk goes from easy to hard over the same few set-ups for everybody of this build, stops at the first that does not hold, and goes on in
 * whole units inside that cell. Its answer depends on nothing but which set-ups hold, and these only grow with range: more range can never make
 * a set-up gentler. Rounding is to the safe side.
 */
import { RAD } from '../base/angle.ts';
import { PROPORTION, type Body } from '../body/body.ts';
import { chainOf, setWedge, type Chain } from './chain.ts';
import { finish, machineOf, type Solution } from './inverse.ts';
import {
	anglesOf,
	depthOf,
	describe,
	inShort,
	type Angles,
	type PoseInShort,
	type Posture
} from './posture.ts';
import { hipHeight, newPose, poseAt, type DepthKind, type Pose } from './pose.ts';
import type { Depth, Limits, SquatProblem, Stand } from './problem.ts';
import { fillSlacks } from './slack.ts';
import { asSquat, FREE_LEG_DEG, type StepDownProblem } from './step-down.ts';
import { holdsAtDepth, shanksAtDepth, shownAtDepth } from './technique-band.ts';
import { bisect, type SolveStatus } from './walk.ts';

/**
 * Puts the pose to show into `pose` and answers its chain: judged by one list of limits after the other, strictest first; the first inside which
 * something holds decides. Without limits, the technique as it is taught.
 */
function chosen(problem: SquatProblem, bounds: readonly Limits[], pose: Pose): Chain {
	const hasSeat = 'seatCm' in problem.depth;
	let chain: Chain | undefined;
	for (const limits of bounds.length === 0 ? UNBOUNDED : bounds) {
		chain = chainOf({ ...problem, limits }, hasSeat);
		pose.shank = NaN;
		if (shownAtDepth(chain, pose, ...depthOf(chain, problem.depth))) break;
	}
	return chain as Chain;
}

/** The posture as it is shown inside a technique's band: nearest to the technique as taught among those that keep the limits. */
export function postureInBand(problem: SquatProblem, bounds: readonly Limits[]): Posture {
	const pose = newPose();
	return describe(chosen(problem, bounds, pose), pose);
}

const SHORT = newPose();
/** The same in short. */
export const shortInBand = (problem: SquatProblem, bounds: readonly Limits[]): PoseInShort =>
	inShort(chosen(problem, bounds, SHORT), SHORT);
const UNBOUNDED: readonly Limits[] = [{}];

/** The least a technique can ask on each axis at a depth, whoever does it: the more upright end of its band for knee and ankle, the other for the hip; null out of reach. */
export function leastInBand(
	problem: SquatProblem
): Pick<Angles, 'kneeFlexion' | 'thighTrunkFlexion' | 'weightBearingDorsiflexion'> | null {
	const chain = chainOf({ ...problem, limits: {} }, 'seatCm' in problem.depth);
	const depth = depthOf(chain, problem.depth);
	const pose = newPose();
	const shanks = shanksAtDepth(chain, pose, ...depth);
	if (shanks === null) return null;
	const [upright, leaning] = shanks.map((shank) => {
		poseAt(chain, pose, ...depth, shank);
		return anglesOf(chain, pose);
	}) as [Angles, Angles];
	return {
		kneeFlexion: Math.min(upright.kneeFlexion, leaning.kneeFlexion),
		thighTrunkFlexion: Math.min(upright.thighTrunkFlexion, leaning.thighTrunkFlexion),
		weightBearingDorsiflexion: Math.min(upright.weightBearingDorsiflexion, leaning.weightBearingDorsiflexion)
	};
}

/** From easy to hard in cells of `cell`, then in ones: the hardest whole value up to which everything holds. NaN when the easy end does not. */
function walkWhole(easy: number, hard: number, cell: number, holds: (value: number) => boolean): number {
	const way = hard < easy ? -1 : 1;
	if (!holds(easy)) return NaN;
	let inside = easy;
	while (inside !== hard) {
		const next = way > 0 ? Math.min(hard, inside + cell) : Math.max(hard, inside - cell);
		if (!holds(next)) break;
		inside = next;
	}
	for (let v = inside + way; v !== hard + way && holds(v); v += way) inside = v;
	return inside;
}

/** The highest whole seat worth trying: 98 % of a straight leg, and what is left of a centimetre. */
const highestSeat = ({ ankleHeightM, shankM, thighM, heightM }: Body, sinkCm = 0): number =>
	Math.ceil(100 * (0.98 * (ankleHeightM + shankM + thighM) - PROPORTION.hipAboveSeat * heightM) + sinkCm);

/** The lowest seat from which this body can rise, whole cm, no lower than asked for; NaN when none. */
export function lowestSeatInBand(stand: Stand, noLowerCm = 5): number {
	const chain = chainOf(stand, true);
	const pose = newPose();
	const easy = highestSeat(chain.body, stand.cushionSinkCm);
	return walkWhole(easy, Math.min(easy, Math.ceil(noLowerCm)), 2, (cm) =>
		holdsAtDepth(chain, pose, 'hip', hipHeight(chain, cm))
	);
}

/** The deepest squat, thigh from vertical in whole degrees, no deeper than asked for; NaN when none. */
export function deepestSquatInBand(stand: Stand, noDeeperDeg = 130): number {
	const chain = chainOf(stand, false);
	const pose = newPose();
	return walkWhole(10, Math.max(10, Math.floor(noDeeperDeg)), 3, (deg) =>
		holdsAtDepth(chain, pose, 'thigh', deg * RAD)
	);
}

/** The highest step that can be stepped down from, whole cm, no higher than asked for; NaN when none. */
export function highestStepDownInBand(p: Omit<StepDownProblem, 'stepCm'>, noHigherCm = 50): number {
	const chain = chainOf(asSquat({ ...p, stepCm: 0 }), false);
	const pose = newPose();
	const { body, freeLegDeg = FREE_LEG_DEG, pelvicDropCm = 0 } = p;
	const top =
		body.ankleHeightM + (body.shankM + body.thighM) * Math.cos(freeLegDeg * RAD) - pelvicDropCm / 100;
	return walkWhole(1, Math.max(1, Math.floor(noHigherCm)), 1, (cm) =>
		holdsAtDepth(chain, pose, 'hip', top - cm / 100)
	);
}

/** The smallest heel wedge (cm of heel height) with which a depth holds, found in half degrees of pitch up to 30; 0 when none is needed, NaN when none helps. */
export function heelWedgeInBand(stand: Stand, depth: Depth): number {
	const chain = chainOf(stand, 'seatCm' in depth);
	const pose = newPose();
	const slackAt = (pitchDeg: number): number => {
		setWedge(chain, pitchDeg * RAD);
		return holdsAtDepth(chain, pose, ...depthOf(chain, depth)) ? 0 : -1;
	};
	for (let pitch = 0; pitch <= 30; pitch += 0.5) {
		if (slackAt(pitch) < 0) continue;
		if (pitch === 0) return 0;
		slackAt(bisect(pitch, pitch - 0.5, slackAt));
		return 100 * chain.heelY;
	}
	return NaN;
}

/** A solved length with its posture and what stops it; `hardest` is the end beyond which nobody looks. */
function written(
	stand: Stand,
	hasSeat: boolean,
	value: number,
	hardest: number,
	easiest: number,
	unit: 'cm' | 'deg',
	depth: (chain: Chain, value: number) => readonly [DepthKind, number]
): Solution {
	const m = machineOf(stand, hasSeat);
	const status: SolveStatus = Number.isNaN(value)
		? 'never-feasible'
		: value === hardest
			? 'unlimited'
			: 'limited';
	const at = status === 'never-feasible' ? easiest : value;
	return finish(m, { status, at }, unit, () => {
		shownAtDepth(m.chain, m.pose, ...depth(m.chain, at));
		fillSlacks(m.chain, m.pose, m.slacks);
	});
}

/** As `lowestSeat`, over the band and in whole cm. */
export const seatInBand = (stand: Stand): Solution =>
	written(
		stand,
		true,
		lowestSeatInBand(stand),
		5,
		highestSeat(stand.body, stand.cushionSinkCm),
		'cm',
		(chain, cm) => ['hip', hipHeight(chain, cm)]
	);

/** As `deepestSquat`, over the band and in whole degrees. */
export const squatInBand = (stand: Stand): Solution =>
	written(stand, false, deepestSquatInBand(stand), 130, 10, 'deg', (_, deg) => ['thigh', deg * RAD]);

/** As `heelWedge`, over the band. */
export function wedgeInBand(stand: Stand, depth: Depth): Solution {
	const cm = heelWedgeInBand(stand, depth);
	const at = { ...stand, heelWedgeCm: Number.isNaN(cm) ? 0 : cm };
	return written(at, 'seatCm' in depth, cm, 0, 0, 'cm', (chain) => depthOf(chain, depth));
}
