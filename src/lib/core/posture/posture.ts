/**
 * Forward solution: a set-up in, joint angles, relative joint moments, checks and drawing points out.
 *
 * Moments are quasi-static net external demands in N·m (+ = extensor), per working leg except L5/S1. They compare set-ups; they
 * are not tissue loads, and a net hip moment near zero is never "no hip load".
 */
import { DEG, RAD } from '../base/angle.ts';
import { point, type Point } from '../base/vector.ts';
import { CENTRE, PROPORTION } from '../body/body.ts';
import { chainOf, type Chain } from './chain.ts';
import { ANATOMICAL_KNEE, FOOT, GRAVITY, SLACK_EPSILON } from './constants.ts';
import { hipHeight, newPose, solvePose, type DepthKind, type Pose } from './pose.ts';
import { CHECK_UNIT, CHECKS, type CheckId, type Depth, type Limits, type SquatProblem } from './problem.ts';
import { CHECK_COUNT, fillSlacks, kneePastToeCm } from './slack.ts';
import { loadPlace } from './upper-body.ts';

export interface Check {
	readonly id: CheckId;
	readonly value: number;
	readonly limit: number;
	/** Room left after the margin; ok is slack ≥ −1e−6. */
	readonly slack: number;
	readonly unit: 'deg' | 'cm';
}

export interface Angles {
	readonly kneeFlexion: number;
	readonly thighTrunkFlexion: number;
	readonly weightBearingDorsiflexion: number;
	readonly trunkLean: number;
	readonly shank: number;
	readonly thigh: number;
}

export interface Moments {
	readonly kneePerLeg: number;
	readonly hipPerLeg: number;
	readonly lumbosacral: number;
}

export type PointName =
	'heel' | 'ball' | 'toe' | 'ankle' | 'knee' | 'hip' | 'shoulder' | 'lumbosacral' | 'com' | 'load';

export interface Posture {
	readonly feasible: boolean;
	readonly assumed: readonly string[];
	readonly angles: Angles;
	readonly kneePastToeCm: number;
	readonly comFootPercent: number;
	readonly seatCm: number;
	readonly heelWedgeCm: number;
	readonly moments: Moments;
	readonly checks: readonly Check[];
	readonly points: Readonly<Record<Exclude<PointName, 'load'>, Point>> & { readonly load?: Point };
}

/** The depth in the solver's own terms: radians for thigh and knee, metres of hip height for a seat. */
export function depthOf(chain: Chain, depth: Depth): readonly [DepthKind, number] {
	if ('thighDeg' in depth) return ['thigh', depth.thighDeg * RAD];
	if ('kneeFlexionDeg' in depth) return ['knee', depth.kneeFlexionDeg * RAD];
	return ['hip', hipHeight(chain, depth.seatCm)];
}

/**
 * Solves a squat or a rise from a seat. Never refuses: a pose that breaks a limit comes back clamped, with the failing checks.
 * @example posture({ body: of 165 cm and 65 kg, movement: 'squat', technique: 'parallel', depth: { thighDeg: 90 } })
 *   gives knee flexion 127.4° and a seat equivalent of 30.9 cm (golden table G02).
 */
export function posture(problem: SquatProblem): Posture {
	const chain = chainOf(problem, 'seatCm' in problem.depth);
	const pose = newPose();
	const [kind, depth] = depthOf(chain, problem.depth);
	solvePose(chain, pose, kind, depth);
	return describe(chain, pose);
}

/** What a fit needs of a pose: angles, moments, and which of balance and reach fail; without points and written-out checks. */
export interface PoseInShort {
	readonly angles: Angles;
	readonly moments: Moments;
	readonly failing: readonly CheckId[];
}

const NONE_FAILING: readonly CheckId[] = [];
/** Trunk lean, both ends of balance, reach and the knee's own end: places of `CHECKS` that are no range of the client. */
const STANDING = [3, 5, 6, 7, 8] as const;

/** Writes out a solved pose in short. */
export function inShort(chain: Chain, pose: Pose): PoseInShort {
	fillSlacks(chain, pose, SLACKS);
	let failing: CheckId[] | undefined;
	for (const i of STANDING)
		if ((SLACKS[i] as number) < -SLACK_EPSILON) (failing ??= []).push(CHECKS[i] as CheckId);
	return { angles: anglesOf(chain, pose), moments: momentsOf(chain, pose), failing: failing ?? NONE_FAILING };
}

/** Writes out a solved pose. */
export function describe(chain: Chain, pose: Pose): Posture {
	const angles = anglesOf(chain, pose);
	const pastToe = kneePastToeCm(chain, pose);
	const checks = checksOf(chain, pose, angles, pastToe);
	const { body } = chain;
	let feasible = true;
	for (const c of checks) if (c.slack < -SLACK_EPSILON) feasible = false;
	const hipY = chain.ankleY + body.shankM * Math.cos(pose.shank) + body.thighM * Math.cos(pose.thigh);
	return {
		feasible,
		assumed: assumedOf(chain),
		angles,
		kneePastToeCm: pastToe,
		comFootPercent: (100 * (pose.comX - chain.heelX)) / (chain.toeX - chain.heelX),
		seatCm: 100 * (hipY - PROPORTION.hipAboveSeat * body.heightM) + (chain.stand.cushionSinkCm ?? 0),
		heelWedgeCm: 100 * chain.heelY,
		moments: momentsOf(chain, pose),
		checks,
		points: pointsOf(chain, pose)
	};
}

export function anglesOf(chain: Chain, pose: Pose): Angles {
	return {
		kneeFlexion: (pose.shank + pose.thigh) * DEG,
		thighTrunkFlexion: (pose.thigh + pose.trunk) * DEG,
		weightBearingDorsiflexion: (pose.shank - chain.wedge) * DEG,
		trunkLean: pose.trunk * DEG,
		shank: pose.shank * DEG,
		thigh: pose.thigh * DEG
	};
}

/** Top-down sums; knee and hip add up to g·Lt·sin θ·cos β·(m above + 0.567 m thigh)·share in every technique. */
function momentsOf(chain: Chain, pose: Pose): Moments {
	const { upper, body, share } = chain;
	const sin = Math.sin(pose.trunk);
	const cos = Math.cos(pose.trunk);
	const hip = upper.alongKgM * sin + upper.aheadKgM * cos + upper.offsetKgM + chain.freeKgM;
	const thigh = body.thighM * Math.sin(pose.thigh) * chain.cosOut;
	const [pullAtKnee, pullAtHip] = chain.stand.hands === true ? pullKgM(chain, pose) : NO_PULL;
	return {
		kneePerLeg:
			GRAVITY * share * (thigh * (upper.massKg + chain.freeKg + 0.567 * chain.thighKg) - hip - pullAtKnee),
		hipPerLeg: GRAVITY * share * (hip + pullAtHip),
		lumbosacral: GRAVITY * (upper.lumbarAlongKgM * sin + upper.lumbarAheadKgM * cos + upper.offsetKgM)
	};
}

const NO_PULL = [0, 0] as const;

/**
 * What hands pull forward at the height of the shoulder to keep weight that lies behind its target from falling back, as moments about
 * knee and hip, kg·m: F·h = W (x_target − x_com).
 */
function pullKgM(chain: Chain, pose: Pose): readonly [number, number] {
	const { body } = chain;
	const kneeY = chain.ankleY + body.shankM * Math.cos(pose.shank);
	const hipY = kneeY + body.thighM * Math.cos(pose.thigh);
	const shoulderY = hipY + body.trunkM * Math.cos(pose.trunk);
	const pull = (chain.totalKg * Math.max(0, chain.targetX - pose.comX)) / shoulderY;
	return [pull * (shoulderY - kneeY), pull * (shoulderY - hipY)];
}

const SLACKS = new Float64Array(CHECK_COUNT);
const VALUES = new Float64Array(CHECK_COUNT);
const LIMITS = new Float64Array(CHECK_COUNT);

/** The checks that have a limit, in the order of `CHECKS`; values and limits go through two scratch arrays. */
function checksOf(chain: Chain, pose: Pose, a: Angles, pastToe: number): Check[] {
	fillSlacks(chain, pose, SLACKS);
	const limits: Limits = chain.stand.limits ?? NO_LIMITS;
	VALUES[0] = a.kneeFlexion;
	VALUES[1] = a.thighTrunkFlexion;
	VALUES[2] = a.weightBearingDorsiflexion;
	VALUES[3] = a.trunkLean;
	VALUES[4] = pastToe;
	VALUES[5] = 100 * pose.comX;
	VALUES[6] = 100 * pose.comX;
	VALUES[7] = 100 * pose.overshootM;
	VALUES[8] = a.kneeFlexion;
	LIMITS[0] = limits.kneeFlexionDeg ?? Infinity;
	LIMITS[1] = limits.thighTrunkFlexionDeg ?? Infinity;
	LIMITS[2] = limits.weightBearingDorsiflexionDeg ?? Infinity;
	LIMITS[3] = chain.leanLimit;
	LIMITS[4] = chain.pastToeLimit;
	LIMITS[5] = 100 * chain.rearX;
	LIMITS[6] = 100 * chain.frontX;
	LIMITS[7] = 0;
	LIMITS[8] = ANATOMICAL_KNEE;
	const out: Check[] = [];
	for (let i = 0; i < CHECK_COUNT; i++) {
		const slack = SLACKS[i] as number;
		if (slack === Infinity) continue;
		const id = CHECKS[i] as CheckId;
		out.push({ id, value: VALUES[i] as number, limit: LIMITS[i] as number, slack, unit: CHECK_UNIT[id] });
	}
	return out;
}

const NO_LIMITS = {};

function assumedOf(chain: Chain): string[] {
	const { stand, body, technique } = chain;
	const out: string[] = [];
	if (body.measured.length < 4) out.push('segments');
	if (
		stand.limits?.weightBearingDorsiflexionDeg === undefined &&
		(technique === 'knee-forward' || technique === 'stacked')
	)
		out.push('dorsiflexion');
	if (stand.movement === 'squat' && stand.technique === undefined) out.push('technique');
	if (stand.stance === 'staggered') out.push('kickstand-share');
	return out;
}

function pointsOf(chain: Chain, pose: Pose): Posture['points'] {
	const { body, cosOut, stand } = chain;
	const Lf = body.footM;
	const knee = point(
		chain.ankleX + body.shankM * Math.sin(pose.shank) * cosOut,
		chain.ankleY + body.shankM * Math.cos(pose.shank)
	);
	const hip = point(
		knee.x - body.thighM * Math.sin(pose.thigh) * cosOut,
		knee.y + body.thighM * Math.cos(pose.thigh)
	);
	const sin = Math.sin(pose.trunk);
	const cos = Math.cos(pose.trunk);
	const along = (u: number, v: number): Point => point(hip.x + u * sin + v * cos, hip.y + u * cos - v * sin);
	const points = {
		heel: point(chain.heelX, chain.heelY),
		ball: point(cosOut * FOOT.ball * Lf, 0),
		toe: point(chain.toeX, 0),
		ankle: point(chain.ankleX, chain.ankleY),
		knee,
		hip,
		shoulder: along(body.trunkM, 0),
		lumbosacral: along(CENTRE.lumbosacral * body.trunkM, 0),
		com: point(pose.comX, 0)
	};
	if (stand.load === undefined || stand.load.at === 'none' || stand.load.kg <= 0) return points;
	const [u, v] = loadPlace(stand.load.at);
	return { ...points, load: along(u * body.trunkM, v * body.heightM) };
}
