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

const LOW = LEAN.shankLow * RAD;
const HIGH = LEAN.shankHigh * RAD;
const MIN_LEAN = LEAN.min * RAD;
const KNEE_FORWARD = LEAN.kneeForward * RAD;

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

function ruledLean(chain: Chain, shank: number): number {
	switch (chain.technique) {
		case 'parallel':
			return shank > 0 ? Math.min(shank, chain.leanMax) : 0;
		case 'sit-back':
			return shank > 0 ? Math.min(LEAN.sitBackRatio * shank, chain.leanMax) : 0;
		case 'knee-forward':
			return KNEE_FORWARD;
		default:
			return 0;
	}
}

function leanSlope(chain: Chain, shank: number, lean: number): number {
	if (shank <= 0 || lean >= chain.leanMax) return 0;
	return chain.technique === 'parallel' ? 1 : chain.technique === 'sit-back' ? LEAN.sitBackRatio : 0;
}

/** f(α): how far ahead of its target the centre of mass would lie, times the mass, for a shank under the technique's rule. */
function residual(chain: Chain, pose: Pose, kind: DepthKind, depth: number, shank: number): number {
	const lean = ruledLean(chain, shank);
	const thigh = thighFor(chain, pose, kind, depth, shank);
	const { alongKgM, aheadKgM } = chain.upper;
	return lowerMoment(chain, Math.sin(shank), Math.sin(thigh)) + alongKgM * Math.sin(lean) + aheadKgM * Math.cos(lean) - chain.totalKg * chain.targetX;
}

/** Root of f(α) by Newton's step, kept inside a shrinking bracket; ends when the step is under 1e−10 rad. */
function closeByRule(chain: Chain, pose: Pose, kind: DepthKind, depth: number): number {
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
		const lean = ruledLean(chain, shank);
		const sinL = Math.sin(lean);
		const cosL = Math.cos(lean);
		const f =
			lowerMoment(chain, sinS, sinT) + upper.alongKgM * sinL + upper.aheadKgM * cosL - chain.totalKg * chain.targetX;
		if (f > 0) high = shank;
		else low = shank;
		const thighSlope = kind === 'thigh' ? 0 : kind === 'knee' ? -1 : sinT > 1e-9 ? (-Ls * sinS) / (Lt * sinT) : 0;
		const shankX = Ls * cosS;
		const thighX = Lt * cosT * thighSlope;
		const slope =
			cosOut * (chain.shankKg * 0.567 * shankX + chain.thighKg * (shankX - 0.567 * thighX) + hipKg * (shankX - thighX)) +
			(upper.alongKgM * cosL - upper.aheadKgM * sinL) * leanSlope(chain, shank, lean);
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
	let balanceX = NaN;
	let shank: number;
	if (chain.technique === 'ordinary') {
		shank = chain.shankCap;
		balanceX = chain.targetX;
	} else {
		// f increases: if it is still negative at the cap, the root lies beyond it and need not be found.
		const capped = chain.shankCap < HIGH && residual(chain, pose, kind, depth, chain.shankCap) < 0;
		shank = capped ? chain.shankCap : closeByRule(chain, pose, kind, depth);
		if (capped || shank > chain.shankCap) {
			shank = chain.shankCap;
			balanceX = chain.technique === 'stacked' ? chain.stackedX : chain.targetX;
		}
	}
	const thigh = thighFor(chain, pose, kind, depth, shank);
	const sinS = Math.sin(shank);
	const sinT = Math.sin(thigh);
	let lean = balanceX === balanceX ? balancingLean(chain, sinS, sinT, balanceX) : ruledLean(chain, shank);
	if (chain.technique === 'stacked' && lean < 0) lean = 0;
	pose.shank = shank;
	pose.thigh = thigh;
	pose.trunk = lean;
	pose.comX =
		(lowerMoment(chain, sinS, sinT) + chain.upper.alongKgM * Math.sin(lean) + chain.upper.aheadKgM * Math.cos(lean)) /
		chain.totalKg;
}
