/**
 * A technique as a band of shanks rather than one: what it allows at a depth, and the best of it inside a client's limits.
 *
 * At a given seat or depth a larger shank lean α asks more of the ankle, and less of hip and balance: the hip's centre moves forward by
 * Ls sin(α + θ)/sin θ ≥ 0 a radian and the knee comes down (α ≥ 0), so thigh and trunk both come down. So the largest α that ankle, knee and
 * technique allow asks the least of the hip, and a depth holds exactly when it holds there. More range only adds shanks to choose from: what holds goes on holding.
 *
 * The knee is the one that may turn: κ(α) rises and falls again in deep seats, so that its admissible shanks may be two stretches
 * (hip behind and hip ahead of the ankle by √(D² − h²), D the leg's length at the limit). The largest of them under the other edges counts.
 *
 * Bands: ordinary rise 0–25° · sit-back from upright to its toe line · parallel: trunk within 10° of the shank · knee-forward: from
 * parallel's up to the ankle's end · stacked: trunk ≤ 15°. @source common-practice
 */
import { RAD } from '../base/angle.ts';
import type { Chain } from './chain.ts';
import { shankPastToe } from './chain.ts';
import { ANATOMICAL_KNEE, SLACK_EPSILON, TECHNIQUE_BAND } from './constants.ts';
import { legLength } from './leg.ts';
import {
	closeByRule,
	HIGH,
	MIN_LEAN,
	poseAt,
	residual,
	solvePose,
	type DepthKind,
	type LeanRule,
	type Pose
} from './pose.ts';

type Of<T> = Readonly<Record<Chain['technique'], T>>;

const DIFFER = TECHNIQUE_BAND.parallel * RAD;
const UPRIGHT: LeanRule = { ratio: 0, offset: MIN_LEAN, low: MIN_LEAN };
/** The trunk as upright as the technique lets it be: where this no longer balances, the shank leans too far. */
const MOST_UPRIGHT: Of<LeanRule> = {
	ordinary: UPRIGHT,
	'sit-back': UPRIGHT,
	parallel: { ratio: 1, offset: -DIFFER, low: MIN_LEAN },
	'knee-forward': UPRIGHT,
	stacked: { ratio: 0, offset: 0, low: 0 }
};
const ANY: LeanRule = { ratio: 0, offset: Infinity, low: MIN_LEAN };
/** The trunk as far over as the technique lets it be: where balance asks for more, the shank is too upright. */
const MOST_OVER: Of<LeanRule> = {
	ordinary: ANY,
	'sit-back': ANY,
	parallel: { ratio: 1, offset: DIFFER, low: MIN_LEAN },
	'knee-forward': { ratio: 1, offset: 0, low: MIN_LEAN },
	stacked: { ratio: 0, offset: TECHNIQUE_BAND.stacked * RAD, low: 0 }
};
/** A knee behind its ankle is no technique; there more lean would ask more of the hip, not less. */
const LEAST = 0;
const MOST: Of<number> = {
	ordinary: TECHNIQUE_BAND.ordinaryShank * RAD,
	'sit-back': HIGH,
	parallel: HIGH,
	'knee-forward': HIGH,
	stacked: HIGH
};
/** Half of what a check allows, so that what holds here passes there. */
const EPSILON = 0.5 * SLACK_EPSILON * RAD;

const kneeMost = (chain: Chain): number => Math.min(chain.kneeLimit, ANATOMICAL_KNEE) * RAD;

/** How far the shank may lean at any depth: by technique, ankle and toe line. */
function furthest(chain: Chain): number {
	const most = Math.min(MOST[chain.technique], chain.dorsiflexionMax + chain.wedge);
	const past = Math.min(chain.technique === 'sit-back' ? 0 : Infinity, chain.pastToeLimit);
	return past === Infinity ? most : Math.min(most, shankPastToe(chain, past / 100));
}

/** The largest shank (radians) that ankle, reach, technique and knee allow at a depth; NaN where none does. */
function largestShank(chain: Chain, pose: Pose, kind: DepthKind, depth: number): number {
	const { technique, body } = chain;
	const { shankM: Ls, thighM: Lt } = body;
	let most = furthest(chain);
	if (kind === 'knee' && depth > kneeMost(chain) + EPSILON) return NaN;
	if (kind === 'thigh') most = Math.min(most, kneeMost(chain) - depth);
	if (kind === 'hip') {
		const reach = (depth - chain.ankleY - Lt) / Ls;
		if (reach > 1) return NaN;
		if (reach > -1) most = Math.min(most, Math.acos(reach));
	}
	if (most < LEAST - EPSILON) return NaN;
	const rule = MOST_UPRIGHT[technique];
	const x = technique === 'parallel' ? chain.targetX : chain.frontX;
	if (residual(chain, pose, kind, depth, most, rule, x) > 0)
		most = Math.min(most, closeByRule(chain, pose, kind, depth, rule, x));
	return kind === 'hip' ? underKnee(chain, depth, most) : most;
}

/** The largest shank no larger than `most` at which the knee keeps inside its limit, for a hip at a height (metres). */
function underKnee(chain: Chain, hipY: number, most: number): number {
	const { body } = chain;
	const { shankM: Ls, thighM: Lt } = body;
	const knee = kneeMost(chain);
	const up = hipY - chain.ankleY;
	const D = legLength(body, knee);
	const across = D * D - up * up;
	if (across <= 0) return most;
	const aside = Math.sqrt(across);
	const lean = Math.acos(Math.max(-1, Math.min(1, (Ls * Ls + D * D - Lt * Lt) / (2 * Ls * D))));
	const ahead = Math.atan2(aside, up) + lean;
	return most >= ahead ? most : Math.min(most, Math.atan2(-aside, up) + lean);
}

/** Does the pose keep every limit whose demand falls as the shank leans: technique, hip, balance behind, and the trunk's own? */
function holdsBehind(chain: Chain, pose: Pose): boolean {
	const { technique } = chain;
	const over = MOST_OVER[technique];
	return (
		pose.shank >= LEAST - EPSILON &&
		pose.trunk <= Math.max(over.low, over.ratio * pose.shank + over.offset) + EPSILON &&
		pose.thigh + pose.trunk <= chain.hipLimit * RAD + EPSILON &&
		pose.trunk <= chain.leanLimit * RAD + EPSILON &&
		pose.comX >= chain.rearX - EPSILON
	);
}

/** Puts the pose that asks the least of hip and balance into `pose`. True when it keeps every limit: then this depth can be done. */
export function holdsAtDepth(chain: Chain, pose: Pose, kind: DepthKind, depth: number): boolean {
	const shank = largestShank(chain, pose, kind, depth);
	if (shank !== shank) return false;
	poseAt(chain, pose, kind, depth, shank);
	return holdsBehind(chain, pose);
}

function holdsWithShank(chain: Chain, pose: Pose, kind: DepthKind, depth: number, shank: number): boolean {
	poseAt(chain, pose, kind, depth, shank);
	const upright = MOST_UPRIGHT[chain.technique];
	return (
		holdsBehind(chain, pose) &&
		shank <= furthest(chain) + EPSILON &&
		shank + pose.thigh <= kneeMost(chain) + EPSILON &&
		pose.trunk >= Math.max(upright.low, upright.ratio * shank + upright.offset) - EPSILON &&
		pose.comX <= chain.frontX + EPSILON &&
		pose.overshootM === 0
	);
}

/**
 * Puts the pose to show into `pose`: of those that keep every limit the one nearest to the technique as it is taught. True when there is one;
 * else as it is taught, as far as the ankle goes, so that what is short can be named.
 */
export function shownAtDepth(chain: Chain, pose: Pose, kind: DepthKind, depth: number): boolean {
	solvePose(chain, pose, kind, depth);
	const taught = pose.shank;
	if (holdsWithShank(chain, pose, kind, depth, taught)) return true;
	if (!holdsAtDepth(chain, pose, kind, depth)) {
		poseAt(chain, pose, kind, depth, nearestShank(chain, pose, kind, depth, taught));
		return false;
	}
	poseAt(chain, pose, kind, depth, nearestHolding(chain, pose, kind, depth, pose.shank, taught));
	return true;
}

/** From a shank that holds towards one that does not: the last that holds. */
function nearestHolding(
	chain: Chain,
	pose: Pose,
	kind: DepthKind,
	depth: number,
	holding: number,
	failing: number
): number {
	let holds = holding;
	let fails = failing;
	for (let i = 0; i < 40 && Math.abs(fails - holds) > 1e-9; i++) {
		const mid = 0.5 * (holds + fails);
		if (holdsWithShank(chain, pose, kind, depth, mid)) holds = mid;
		else fails = mid;
	}
	return holds;
}

/**
 * The shanks a technique allows at a depth inside the chain's limits, radians, most upright first; null where there is none. Where the knee
 * turns they may not be all that lie between, but both ends are allowed.
 */
export function shanksAtDepth(
	chain: Chain,
	pose: Pose,
	kind: DepthKind,
	depth: number
): readonly [number, number] | null {
	if (!holdsAtDepth(chain, pose, kind, depth)) return null;
	const most = pose.shank;
	const edge = uprightEdge(chain, pose, kind, depth);
	return [
		holdsWithShank(chain, pose, kind, depth, edge)
			? edge
			: nearestHolding(chain, pose, kind, depth, most, edge),
		most
	];
}

/** The most upright shank that is still the technique. */
function uprightEdge(chain: Chain, pose: Pose, kind: DepthKind, depth: number): number {
	const over = MOST_OVER[chain.technique];
	if (over === ANY) return LEAST;
	return Math.max(
		LEAST,
		closeByRule(
			chain,
			pose,
			kind,
			depth,
			over,
			chain.technique === 'stacked' ? chain.stackedX : chain.targetX
		)
	);
}

/** Where nothing holds: as it is taught, no further than the ankle goes, and never more upright than the technique. Whatever is short is short there. */
function nearestShank(chain: Chain, pose: Pose, kind: DepthKind, depth: number, taught: number): number {
	return Math.max(
		Math.min(taught, chain.dorsiflexionMax + chain.wedge),
		uprightEdge(chain, pose, kind, depth)
	);
}
