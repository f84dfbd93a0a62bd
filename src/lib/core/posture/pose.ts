/**
 * Solving one pose of the chain: shank, thigh and trunk inclinations that meet a depth, a technique's closure and balance.
 *
 * Balance (all masses, x forward):   W·x_com = A(α, θ) + R sin τ + D cos τ
 * with A the sum of everything that does not turn with the trunk. For a given shank α and thigh θ the trunk lean that brings the
 * centre of mass to x_b is closed form: τ = asin((W·x_b − A)/ρ) − φ, ρ = √(R² + D²), φ = atan2(D, R).
 *
 * A technique closes the third equation with a rule τ(α); f(α) = x_com(α, θ(α), τ(α)) − x_b increases with α, so its root is
 * unique and a bracketed Newton iteration finds it. No allocation: the caller owns the pose.
 */
import { RAD } from '../base/angle.ts';
import { PROPORTION } from '../body/body.ts';
import type { Chain } from './chain.ts';
import { LEAN } from './constants.ts';

/** Inclinations from vertical in radians, centre of mass in metres; `overshootM` is how far a hip height lies beyond the leg. */
export interface Pose {
	shank: number;
	thigh: number;
	trunk: number;
	comX: number;
	overshootM: number;
}

export type DepthKind = 'thigh' | 'knee' | 'hip';

export const newPose = (): Pose => ({ shank: NaN, thigh: 0, trunk: 0, comX: 0, overshootM: 0 });

export const LOW = LEAN.shankLow * RAD;
export const HIGH = LEAN.shankHigh * RAD;
export const MIN_LEAN = LEAN.min * RAD;

/** Trunk lean by the shank: `ratio` times it and `offset`, radians, never under `low`. */
export interface LeanRule {
	readonly ratio: number;
	readonly offset: number;
	readonly low: number;
}

/** How each technique is taught; its band stands in `technique-band.ts`. */
const RULE: Readonly<Record<Chain['technique'], LeanRule>> = {
	parallel: { ratio: 1, offset: 0, low: 0 },
	'sit-back': { ratio: LEAN.sitBackRatio, offset: 0, low: 0 },
	'knee-forward': { ratio: 0, offset: LEAN.kneeForward * RAD, low: 0 },
	stacked: { ratio: 0, offset: 0, low: 0 },
	ordinary: { ratio: 0, offset: 0, low: 0 }
};

/** Hip centre height for a seat surface height, metres. */
export const hipHeight = (chain: Chain, seatCm: number): number =>
	(seatCm - (chain.stand.cushionSinkCm ?? 0)) / 100 + PROPORTION.hipAboveSeat * chain.body.heightM;

function thighFor(chain: Chain, pose: Pose, kind: DepthKind, depth: number, shank: number): number {
	pose.overshootM = 0;
	if (kind === 'thigh') return depth;
	if (kind === 'knee') return depth - shank;
	const { shankM, thighM } = chain.body;
	const c = (depth - chain.ankleY - shankM * Math.cos(shank)) / thighM;
	if (c >= 1) {
		pose.overshootM = (c - 1) * thighM;
		return 0;
	}
	if (c <= -1) {
		pose.overshootM = (-1 - c) * thighM;
		return Math.PI;
	}
	return Math.acos(c);
}

/** A(α, θ): first moment of all that does not turn with the trunk. */
function lowerMoment(chain: Chain, sinShank: number, sinThigh: number): number {
	const { body, cosOut, upper } = chain;
	const shank = body.shankM * sinShank * cosOut;
	const thigh = body.thighM * sinThigh * cosOut;
	const knee = chain.ankleX + shank;
	return (
		chain.footKg * chain.footX +
		chain.shankKg * (chain.ankleX + 0.567 * shank) +
		chain.thighKg * (knee - 0.567 * thigh) +
		(upper.massKg + chain.freeKg) * (knee - thigh) +
		upper.offsetKgM +
		chain.freeKgM
	);
}

/** Trunk lean that brings the centre of mass to x, clamped to what a trunk does. */
function balancingLean(chain: Chain, sinShank: number, sinThigh: number, x: number): number {
	const { alongKgM: R, aheadKgM: D } = chain.upper;
	const e = (chain.totalKg * x - lowerMoment(chain, sinShank, sinThigh)) / Math.sqrt(R * R + D * D);
	const lean = Math.asin(e > 1 ? 1 : e < -1 ? -1 : e) - Math.atan2(D, R);
	return lean < MIN_LEAN ? MIN_LEAN : lean > chain.leanMax ? chain.leanMax : lean;
}

function ruledLean(rule: LeanRule, leanMax: number, shank: number): number {
	const lean = rule.ratio * shank + rule.offset;
	return lean < rule.low ? rule.low : lean > leanMax ? leanMax : lean;
}

/** First moment of all masses about `x`, kg·m, for a shank whose trunk follows a rule: positive when the centre of mass lies ahead of x. */
export function residual(
	chain: Chain,
	pose: Pose,
	kind: DepthKind,
	depth: number,
	shank: number,
	rule: LeanRule,
	x: number
): number {
	const lean = ruledLean(rule, chain.leanMax, shank);
	const thigh = thighFor(chain, pose, kind, depth, shank);
	const { alongKgM, aheadKgM } = chain.upper;
	return (
		lowerMoment(chain, Math.sin(shank), Math.sin(thigh)) +
		alongKgM * Math.sin(lean) +
		aheadKgM * Math.cos(lean) -
		chain.totalKg * x
	);
}

/** The shank at which the centre of mass lies over `x` while the trunk follows a rule: Newton's step inside a shrinking bracket, to 1e−10 rad. */
export function closeByRule(
	chain: Chain,
	pose: Pose,
	kind: DepthKind,
	depth: number,
	rule: LeanRule,
	x: number
): number {
	const { body, cosOut, upper } = chain;
	const { shankM: Ls, thighM: Lt } = body;
	const hipKg = upper.massKg + chain.freeKg;
	let low = LOW;
	let high = HIGH;
	let shank = pose.shank > LOW && pose.shank < HIGH ? pose.shank : 0.5;
	for (let i = 0; i < 80; i++) {
		const thigh = thighFor(chain, pose, kind, depth, shank);
		const sinS = Math.sin(shank);
		const cosS = Math.cos(shank);
		const sinT = Math.sin(thigh);
		const cosT = Math.cos(thigh);
		const lean = ruledLean(rule, chain.leanMax, shank);
		const free = rule.ratio * shank + rule.offset === lean;
		const sinL = Math.sin(lean);
		const cosL = Math.cos(lean);
		const f =
			lowerMoment(chain, sinS, sinT) + upper.alongKgM * sinL + upper.aheadKgM * cosL - chain.totalKg * x;
		if (f > 0) high = shank;
		else low = shank;
		const thighSlope =
			kind === 'thigh' ? 0 : kind === 'knee' ? -1 : sinT > 1e-9 ? (-Ls * sinS) / (Lt * sinT) : 0;
		const shankX = Ls * cosS;
		const thighX = Lt * cosT * thighSlope;
		const slope =
			cosOut *
				(chain.shankKg * 0.567 * shankX +
					chain.thighKg * (shankX - 0.567 * thighX) +
					hipKg * (shankX - thighX)) +
			(free ? (upper.alongKgM * cosL - upper.aheadKgM * sinL) * rule.ratio : 0);
		let next = shank - f / slope;
		if (!(next > low && next < high)) next = 0.5 * (low + high);
		if (Math.abs(next - shank) < 1e-10) return next;
		shank = next;
	}
	return shank;
}

/**
 * Solves the pose for one depth (radians for thigh and knee, metres of hip height). Starts from the shank already in `pose`, so
 * a walk over neighbouring depths is fast; the answer does not depend on the start.
 */
export function solvePose(chain: Chain, pose: Pose, kind: DepthKind, depth: number): void {
	const rule = RULE[chain.technique];
	const { targetX: x } = chain;
	if (chain.technique === 'ordinary') return poseAt(chain, pose, kind, depth, chain.shankCap);
	// The residual increases: if it is still negative at the cap, the root lies beyond it and need not be found.
	const capped = chain.shankCap < HIGH && residual(chain, pose, kind, depth, chain.shankCap, rule, x) < 0;
	const shank = capped ? chain.shankCap : closeByRule(chain, pose, kind, depth, rule, x);
	if (capped || shank > chain.shankCap) return poseAt(chain, pose, kind, depth, chain.shankCap);
	settle(
		chain,
		pose,
		shank,
		thighFor(chain, pose, kind, depth, shank),
		ruledLean(rule, chain.leanMax, shank)
	);
}

/** Puts the chain on a given shank (radians): thigh from the depth, trunk where it balances as this technique does. */
export function poseAt(chain: Chain, pose: Pose, kind: DepthKind, depth: number, shank: number): void {
	const stacked = chain.technique === 'stacked';
	const thigh = thighFor(chain, pose, kind, depth, shank);
	const lean = balancingLean(
		chain,
		Math.sin(shank),
		Math.sin(thigh),
		stacked ? chain.stackedX : chain.targetX
	);
	settle(chain, pose, shank, thigh, stacked && lean < 0 ? 0 : lean);
}

function settle(chain: Chain, pose: Pose, shank: number, thigh: number, lean: number): void {
	pose.shank = shank;
	pose.thigh = thigh;
	pose.trunk = lean;
	pose.comX =
		(lowerMoment(chain, Math.sin(shank), Math.sin(thigh)) +
			chain.upper.alongKgM * Math.sin(lean) +
			chain.upper.aheadKgM * Math.cos(lean)) /
		chain.totalKg;
}
