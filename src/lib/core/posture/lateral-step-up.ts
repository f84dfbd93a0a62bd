/**
 * Stepping up sideways: the foot that stays on the step is put there first, then its leg takes the weight alone while the other, beside the step with its
 * heel still down, only follows. That leg is then the one-leg squat of the model at the height which the other one leaves the hips at.
 *
 * Two things tell it from stepping down: the leg beside the step has a soft knee and stands a little to the side, so the hips are lower; and the leading
 * foot has to be lifted onto the step, which bends its knee further while it swings over the edge.
 * @source common-practice knee of the following leg 10°, its line 10° to the side; swing as for a step-up
 */
import { DEG, RAD } from '../base/angle.ts';
import type { Body } from '../body/body.ts';
import { legBetween, legLength } from './leg.ts';
import type { Limits, Load, SquatProblem, Technique } from './problem.ts';
import { asSquat, type StepDownProblem } from './step-down.ts';

export interface LateralStepUpProblem {
	readonly body: Body;
	readonly stepCm: number;
	readonly technique?: Technique;
	readonly heelWedgeCm?: number;
	readonly load?: Load;
	readonly limits?: Limits;
	readonly marginDeg?: number;
}

const FOLLOWING_KNEE = 10 * RAD;
export const FOLLOWING_LINE_DEG = 10;

/** Hip to ankle of the leg beside the step, m. */
export const followingLegM = (body: Body): number => legLength(body, FOLLOWING_KNEE);

/** How much lower than a straight leg beside the step leaves them the hips are as the weight is taken, cm. */
const lowerCm = (body: Body): number =>
	100 * (body.shankM + body.thighM - followingLegM(body) * Math.cos(FOLLOWING_LINE_DEG * RAD));

/** Taking the weight, as the step-down it is the other way round: nothing hangs ahead, the hips are lower. */
export const asStepDown = <P extends Omit<LateralStepUpProblem, 'stepCm'>>(
	p: P
): P & Pick<StepDownProblem, 'freeLegDeg' | 'pelvicDropCm'> => ({
	...p,
	freeLegDeg: 0,
	pelvicDropCm: lowerCm(p.body)
});

/** Taking the weight: a one-leg squat, heights counted from the top of the step. */
export const takingWeight = (p: LateralStepUpProblem): SquatProblem => asSquat(asStepDown(p));

/**
 * Bend of the leading knee as its foot is lifted onto the step beside the standing leg, degrees; `clearanceDeg` while it swings over the edge.
 * @example 170 cm, 15 cm step: about 70° with 20° of clearance
 */
export function liftedKneeDeg(body: Body, stepCm: number, clearanceDeg: number): number {
	return legBetween(body, 0, followingLegM(body) - stepCm / 100).knee * DEG + clearanceDeg;
}
