/**
 * Slack of every check of a pose: how much room is left after the margin, in the check's own unit (`CHECK_UNIT`, order of
 * `CHECKS`). Negative is a violation; absent limits are infinite room.
 */
import { DEG } from '../base/angle.ts';
import { PROPORTION } from '../body/body.ts';
import type { Chain } from './chain.ts';
import { ANATOMICAL_KNEE } from './constants.ts';
import type { Pose } from './pose.ts';

export const CHECK_COUNT = 9;

/** How far the front of the knee is ahead of the toe tip, cm, in the leg's own plane. */
export const kneePastToeCm = (chain: Chain, pose: Pose): number =>
	100 *
	(chain.ankleX / chain.cosOut +
		chain.body.shankM * Math.sin(pose.shank) +
		PROPORTION.patella * chain.body.heightM -
		chain.toeX / chain.cosOut);

/** Fills `out` (length 9) with the slacks. */
export function fillSlacks(chain: Chain, pose: Pose, out: Float64Array): void {
	const knee = (pose.shank + pose.thigh) * DEG;
	out[0] = chain.kneeLimit - knee;
	out[1] = chain.hipLimit - (pose.thigh + pose.trunk) * DEG;
	out[2] = chain.ankleLimit - (pose.shank - chain.wedge) * DEG;
	out[3] = chain.leanLimit - pose.trunk * DEG;
	out[4] = chain.pastToeLimit === Infinity ? Infinity : chain.pastToeLimit - kneePastToeCm(chain, pose);
	out[5] = 100 * (pose.comX - chain.rearX);
	out[6] = 100 * (chain.frontX - pose.comX);
	out[7] = pose.overshootM === 0 ? Infinity : -100 * pose.overshootM;
	out[8] = ANATOMICAL_KNEE - knee;
}

/** The smallest slack of the nine. */
export function worst(slacks: Float64Array): number {
	let w = Infinity;
	for (let i = 0; i < CHECK_COUNT; i++) {
		const s = slacks[i] as number;
		if (s < w) w = s;
	}
	return w;
}
