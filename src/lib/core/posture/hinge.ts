/**
 * Hinge, deadlift, good bend from the hips: the handle's height sets how far the trunk must go, one closure sets the knees, balance the
 * rest. Arms straight; the load hangs under the shoulder (`hang`) or is kept over the middle of the foot (`midfoot`).
 *
 * Closures: knee kept at an angle (soft 20°, straight 0–5°), shank kept at a lean, or trunk kept at a lean. A rigid trunk over-reports
 * the fold when the back rounds: what the hamstrings cannot give is reported as `lumbarDemand`.
 * @source common-practice hamstring rule: allowed fold = straight-leg raise + 0.5 × knee flexion (0.5 ≈ ratio of moment arms)
 */
import { cosine, DEG, RAD } from '../base/angle.ts';
import { rootIn, rootNear } from '../base/root.ts';
import { point, type Point } from '../base/vector.ts';
import { CENTRE, MASS, PROPORTION, type Body } from '../body/body.ts';
import { FOOT, GRAVITY } from './constants.ts';
import { flatFoot, hipOf, onTrunk, type Foot } from './leg.ts';
import type { Limits } from './problem.ts';
import { legPoints, type Stick } from './stick.ts';
import { upperBody, type UpperBody } from './upper-body.ts';
import { atLeast, atMost, holds, rangeChecks, room, type Demand, type MovementCheck } from './verdict.ts';

export type HingeClosure =
	{ readonly kneeDeg: number } | { readonly shankDeg: number } | { readonly leanDeg: number };

export interface HingeProblem {
	readonly body: Body;
	/** Height of the handle, or of the hands where nothing is held, cm. */
	readonly handleCm: number;
	readonly loadKg?: number;
	readonly close?: HingeClosure;
	readonly bar?: 'hang' | 'midfoot';
	/** One leg alone, the other in line with the trunk behind. */
	readonly oneLeg?: boolean;
	readonly limits?: Limits;
	readonly marginDeg?: number;
}

export interface Hinge {
	readonly feasible: boolean;
	readonly angles: {
		readonly kneeFlexion: number;
		readonly thighTrunkFlexion: number;
		readonly weightBearingDorsiflexion: number;
		readonly trunkLean: number;
		readonly shank: number;
		readonly thigh: number;
	};
	/** Load ahead of the middle of the foot, cm. */
	readonly loadFromMidfootCm: number;
	/** Fold beyond what the hamstrings give: it comes from the low back; 0 where the straight-leg raise was not given. */
	readonly lumbarDemand: number;
	/** Straight-leg raise that the fold asks for, less what the bent knee gives back. */
	readonly hamstring: number;
	readonly demand: Demand;
	readonly moments: { readonly kneePerLeg: number; readonly hipPerLeg: number; readonly lumbosacral: number };
	readonly checks: readonly MovementCheck[];
	readonly stick: Stick;
}

/** Hamstring gives this much fold for each degree of knee bend. */
export const HAMSTRING_SHARE = 0.5;
const SOFT_KNEE = 20;
/** Reach of a straight arm to the middle of the grip. */
export const armReach = (body: Body): number =>
	(PROPORTION.upperArm + PROPORTION.forearm + PROPORTION.grip) * body.heightM;

interface Setup {
	readonly p: HingeProblem;
	readonly body: Body;
	readonly foot: Foot;
	/** Arms hanging; what is held is reckoned apart. */
	readonly upper: UpperBody;
	readonly handleM: number;
	readonly reach: number;
	readonly targetX: number;
	readonly loadKg: number;
	readonly legs: 1 | 2;
}

interface Solved {
	readonly shank: number;
	readonly thigh: number;
	readonly lean: number;
	readonly hip: Point;
	readonly comX: number;
	readonly loadX: number;
	/** How far the handle lies out of reach, metres. */
	readonly beyond: number;
}

/** Trunk lean that brings the hands to the handle from a hip. */
function leanTo(s: Setup, hip: Point): { lean: number; beyond: number } {
	const { trunkM: S } = s.body;
	if ((s.p.bar ?? 'hang') === 'hang') {
		const c = (s.handleM + s.reach - hip.y) / S;
		return { lean: Math.acos(cosine(c)), beyond: Math.max(0, Math.abs(c) - 1) * S };
	}
	const dx = s.targetX - hip.x;
	const dy = s.handleM - hip.y;
	const D = Math.hypot(dx, dy);
	const beyond = Math.max(0, D - S - s.reach, Math.abs(S - s.reach) - D);
	return {
		lean: Math.atan2(dx, dy) - Math.acos(cosine((S * S + D * D - s.reach * s.reach) / (2 * S * D))),
		beyond
	};
}

/** Arms that slope from the shoulder to a bar carry their mass half-way: kg·m ahead of the shoulder, 0 when they hang. */
const armsAhead = ({ body }: Setup, shoulderX: number, loadX: number): number =>
	MASS.arm * body.massKg * (loadX - shoulderX);

/** A free leg held in line with the trunk behind: its mass, and its first moment about the hip (negative, behind). Nothing on two legs. */
function freeLeg({ body, legs }: Setup, lean: number): { readonly kg: number; readonly behindKgM: number } {
	if (legs === 2) return NO_FREE_LEG;
	const { massKg: M, thighM: Lt, shankM: Ls } = body;
	return {
		kg: M * (MASS.foot + MASS.shank + MASS.thigh),
		behindKgM:
			-Math.sin(lean) *
			M *
			(MASS.thigh * CENTRE.thigh * Lt + MASS.shank * (Lt + CENTRE.shank * Ls) + MASS.foot * (Lt + Ls))
	};
}
const NO_FREE_LEG = { kg: 0, behindKgM: 0 } as const;

function poseAt(s: Setup, shank: number, thigh: number, fixedLean?: number): Solved {
	const { body, foot, upper } = s;
	const M = body.massKg;
	const kneeX = foot.ankle.x + body.shankM * Math.sin(shank);
	const kneeY = foot.ankle.y + body.shankM * Math.cos(shank);
	const hip = point(kneeX - body.thighM * Math.sin(thigh), kneeY + body.thighM * Math.cos(thigh));
	const { lean, beyond } = fixedLean === undefined ? leanTo(s, hip) : { lean: fixedLean, beyond: 0 };
	const shoulderX = hip.x + body.trunkM * Math.sin(lean);
	const loadX = (s.p.bar ?? 'hang') === 'hang' ? shoulderX : s.targetX;
	const legKg = s.legs * M;
	const { kg: free, behindKgM } = freeLeg(s, lean);
	const first =
		armsAhead(s, shoulderX, loadX) +
		legKg *
			(MASS.foot * foot.centre.x +
				MASS.shank * (kneeX + CENTRE.shank * (foot.ankle.x - kneeX)) +
				MASS.thigh * (hip.x + CENTRE.thigh * (kneeX - hip.x))) +
		(upper.massKg + free) * hip.x +
		upper.alongKgM * Math.sin(lean) +
		behindKgM +
		s.loadKg * loadX;
	return { shank, thigh, lean, hip, comX: first / (M + s.loadKg), loadX, beyond };
}

const root = (f: (x: number) => number, low: number, high: number, guess: number | undefined): number =>
	(guess === undefined ? rootIn(f, low, high, 1e-9) : rootNear(f, guess, low, high)).x;

/** Solves the closure for balance; `guess` is the free inclination of a neighbouring problem. */
function solve(s: Setup, guess?: number): Solved {
	const close = s.p.close ?? { kneeDeg: SOFT_KNEE };
	const off = (q: Solved): number => q.comX - s.targetX;
	if ('kneeDeg' in close) {
		const knee = close.kneeDeg * RAD;
		const at = (shank: number): Solved => poseAt(s, shank, knee - shank);
		return at(root((a) => off(at(a)), -40 * RAD, 45 * RAD, guess));
	}
	if ('shankDeg' in close) {
		const shank = close.shankDeg * RAD;
		const at = (thigh: number): Solved => poseAt(s, shank, thigh);
		return at(root((t) => off(at(t)), 0, 130 * RAD, guess));
	}
	const lean = close.leanDeg * RAD;
	const { body, foot } = s;
	const hipY = s.handleM + s.reach - body.trunkM * Math.cos(lean);
	const at = (shank: number): Solved =>
		poseAt(
			s,
			shank,
			Math.acos(cosine((hipY - foot.ankle.y - body.shankM * Math.cos(shank)) / body.thighM)),
			lean
		);
	return at(root((a) => off(at(a)), -40 * RAD, 45 * RAD, guess));
}

const setupOf = (p: HingeProblem): Setup => ({
	p,
	body: p.body,
	foot: flatFoot(p.body, 0),
	upper: upperBody(p.body, 'hang', undefined),
	handleM: p.handleCm / 100,
	reach: armReach(p.body),
	targetX: FOOT.target * p.body.footM,
	loadKg: p.loadKg ?? 0,
	legs: p.oneLeg === true ? 1 : 2
});

/** Worst slack of a hinge (degrees, or cm of reach and balance) as a function of the handle's height, for walks. */
export function hingeSlack(p: Omit<HingeProblem, 'handleCm'>): (handleCm: number) => number {
	const { body, limits = {}, marginDeg = 0 } = p;
	const s = setupOf({ ...p, handleCm: 0 });
	const [knee, fold, ankle, raise, bow] = [
		room(limits.kneeFlexionDeg, marginDeg),
		room(limits.thighTrunkFlexionDeg, marginDeg),
		room(limits.weightBearingDorsiflexionDeg, marginDeg),
		room(limits.straightLegRaiseDeg, marginDeg),
		room(limits.forwardBowDeg, marginDeg)
	];
	const byShank = p.close === undefined || !('shankDeg' in p.close);
	let guess: number | undefined;
	return (handleCm) => {
		const q = solve({ ...s, handleM: handleCm / 100 }, guess);
		guess = byShank ? q.shank : q.thigh;
		if (q.beyond > 1e-9) return -100 * q.beyond;
		const k = (q.shank + q.thigh) * DEG;
		const f = (q.thigh + q.lean) * DEG;
		const stands = 100 * Math.min(q.comX - FOOT.rear * body.footM, FOOT.front * body.footM - q.comX);
		return Math.min(
			knee - k,
			fold - f,
			bow - q.lean * DEG,
			ankle - q.shank * DEG,
			raise - f + HAMSTRING_SHARE * k,
			stands
		);
	};
}

/**
 * Solves a hinge down to a handle.
 * @example 165 cm, 65 kg, handle 45 cm, 16 kg, knee 20°, load hanging → lean 57.6°, fold 83.4° (golden table G31)
 */
export function hinge(p: HingeProblem): Hinge {
	const { body, limits = {}, marginDeg = 0 } = p;
	const s = setupOf(p);
	const q = solve(s);
	const knee = (q.shank + q.thigh) * DEG;
	const fold = (q.thigh + q.lean) * DEG;
	const angles = {
		kneeFlexion: knee,
		thighTrunkFlexion: fold,
		weightBearingDorsiflexion: q.shank * DEG,
		trunkLean: q.lean * DEG,
		shank: q.shank * DEG,
		thigh: q.thigh * DEG
	};
	const raise = fold - HAMSTRING_SHARE * knee;
	const demand: Demand = {
		kneeFlexion: knee,
		thighTrunkFlexion: fold,
		weightBearingDorsiflexion: angles.weightBearingDorsiflexion,
		straightLegRaise: raise,
		forwardBow: angles.trunkLean
	};
	const comCm = 100 * q.comX;
	const checks = [
		...rangeChecks(demand, limits, marginDeg),
		atMost('reach', 100 * q.beyond, 0, 'cm'),
		atLeast('comAheadOfHeelLimit', comCm, 100 * FOOT.rear * body.footM),
		atMost('comBehindToeLimit', comCm, 100 * FOOT.front * body.footM, 'cm')
	];
	const slr = limits.straightLegRaiseDeg;
	return {
		feasible: holds(checks),
		angles,
		loadFromMidfootCm: 100 * (q.loadX - s.targetX),
		hamstring: raise,
		lumbarDemand: slr === undefined ? 0 : Math.max(0, raise - slr),
		demand,
		moments: momentsOf(s, q),
		checks,
		stick: stickOf(s, q)
	};
}

function momentsOf(s: Setup, q: Solved): Hinge['moments'] {
	const { body, foot, legs, upper } = s;
	const M = body.massKg;
	const sin = Math.sin(q.lean);
	const kneeX = foot.ankle.x + body.shankM * Math.sin(q.shank);
	const { kg: free, behindKgM } = freeLeg(s, q.lean);
	const arms = armsAhead(s, q.hip.x + body.trunkM * sin, q.loadX);
	const trunk = upper.alongKgM * sin + arms + s.loadKg * (q.loadX - q.hip.x) + behindKgM;
	const thighKg = legs * M * MASS.thigh;
	const above = upper.massKg + s.loadKg + free + thighKg;
	const firstAboveKnee =
		(upper.massKg + s.loadKg + free) * q.hip.x +
		trunk +
		thighKg * (q.hip.x + CENTRE.thigh * (kneeX - q.hip.x));
	const lumbarX = q.hip.x + CENTRE.lumbosacral * body.trunkM * sin;
	return {
		kneePerLeg: (GRAVITY * (kneeX * above - firstAboveKnee)) / legs,
		hipPerLeg: (GRAVITY * trunk) / legs,
		lumbosacral: GRAVITY * (upper.lumbarAlongKgM * sin + arms + s.loadKg * (q.loadX - lumbarX))
	};
}

function stickOf(s: Setup, q: Solved): Stick {
	const { body, foot } = s;
	const near = legPoints(body, foot, q.shank);
	const shoulder = onTrunk(q.hip, q.lean, body.trunkM);
	const hand =
		(s.p.bar ?? 'hang') === 'hang' ? point(shoulder.x, shoulder.y - s.reach) : point(s.targetX, s.handleM);
	if (s.legs === 2) return { near, hip: q.hip, shoulder, hand };
	const back = (d: number): Point => point(q.hip.x - d * Math.sin(q.lean), q.hip.y - d * Math.cos(q.lean));
	const ankle = back(body.thighM + body.shankM);
	const down = (d: number): Point => point(ankle.x - d * Math.sin(q.lean) * 0.2 + d * 0.2, ankle.y - d * 0.9);
	return {
		near,
		far: {
			knee: back(body.thighM),
			ankle,
			heel: point(ankle.x - body.ankleHeightM, ankle.y),
			ball: down(0.45 * body.footM),
			toe: down(0.7 * body.footM)
		},
		hip: q.hip,
		shoulder,
		hand
	};
}

/**
 * Height of the hanging hands, cm, in a bow: trunk at `leanDeg` from upright, knees at `kneeDeg`, in balance. The inverse of a hinge by its handle; near
 * upright a centimetre of handle is nine degrees of bow, so that there the bow is what is given.
 */
export function handAtBowCm(p: Omit<HingeProblem, 'handleCm'>, leanDeg: number, kneeDeg: number): number {
	const s = setupOf({ ...p, bar: 'hang', handleCm: 0 });
	const at = (shank: number): Solved => poseAt(s, shank, kneeDeg * RAD - shank, leanDeg * RAD);
	const q = at(root((a) => at(a).comX - s.targetX, -40 * RAD, 45 * RAD, undefined));
	return 100 * (q.hip.y + p.body.trunkM * Math.cos(q.lean) - s.reach);
}

/** Hip of a straight stand, for the walk's easy end: hands hanging. */
export function hangingHandCm(body: Body): number {
	const foot = flatFoot(body, 0);
	const hip = hipOf(body, point(foot.ankle.x, foot.ankle.y + body.shankM), 0);
	return 100 * (hip.y + body.trunkM - armReach(body));
}
