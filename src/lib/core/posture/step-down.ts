/**
 * Step-down: one leg on the edge of a step lowers the body until the free foot reaches the floor. The free leg hangs straight,
 * `freeLegDeg` ahead of vertical (about 15 beside the edge, 25 in front of it), which sets the hip's height; the standing leg is then
 * the one-leg squat of the model at that height.
 * @source common-practice angles of the free leg
 */
import { RAD } from '../base/angle.ts';
import { PROPORTION, type Body } from '../body/body.ts';
import { posture, type Posture } from './posture.ts';
import type { Arms, Limits, Load, SquatProblem, Technique } from './problem.ts';

export interface StepDownProblem {
	readonly body: Body;
	readonly stepCm: number;
	readonly technique?: Technique;
	readonly freeLegDeg?: number;
	/** The pelvis may tip down on the free side by so much, cm. */
	readonly pelvicDropCm?: number;
	readonly heelWedgeCm?: number;
	readonly arms?: Arms;
	readonly load?: Load;
	readonly limits?: Limits;
	readonly marginDeg?: number;
}

export const FREE_LEG_DEG = 15;

/** The one-leg squat a step-down comes to: heights are counted from the top of the step. */
export function asSquat(p: StepDownProblem): SquatProblem {
	const {
		body,
		stepCm,
		freeLegDeg = FREE_LEG_DEG,
		pelvicDropCm = 0,
		technique = 'parallel',
		arms = 'hang'
	} = p;
	const hipCm =
		100 * (body.ankleHeightM + (body.shankM + body.thighM) * Math.cos(freeLegDeg * RAD)) -
		pelvicDropCm -
		stepCm;
	return {
		body,
		movement: 'squat',
		technique,
		stance: 'one',
		arms,
		freeLegForwardDeg: freeLegDeg,
		depth: { seatCm: hipCm - 100 * PROPORTION.hipAboveSeat * body.heightM },
		...(p.heelWedgeCm === undefined ? {} : { heelWedgeCm: p.heelWedgeCm }),
		...(p.load === undefined ? {} : { load: p.load }),
		...(p.limits === undefined ? {} : { limits: p.limits }),
		...(p.marginDeg === undefined ? {} : { marginDeg: p.marginDeg })
	};
}

/**
 * Solves a step-down from `stepCm` (1–50). Points are counted from the top of the step.
 * @example 180 cm, 80 kg, 15 cm, parallel → knee 72.8°, ankle 27.9° (golden table G27)
 */
export const stepDown = (problem: StepDownProblem): Posture => posture(asSquat(problem));
