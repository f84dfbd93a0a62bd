/**
 * Heel raise: the ankle's moment and lever with the heel up by φ. The lever gets shorter on the way up, so the bottom is the heavy part.
 * On a step's edge φ goes below level (negative).
 */
import { RAD } from '../base/angle.ts';
import { point } from '../base/vector.ts';
import { MASS, type Body } from '../body/body.ts';
import { FOOT, GRAVITY } from './constants.ts';
import { footAt, hipOf, kneeOf, onTrunk } from './leg.ts';
import { legPoints, type Stick } from './stick.ts';
import type { Demand } from './verdict.ts';

export interface HeelRaiseProblem {
	readonly body: Body;
	/** Heel up, degrees; below level is negative. */
	readonly pitchDeg: number;
	readonly legs?: 1 | 2;
	readonly loadKg?: number;
	/** Knee bent by so much. */
	readonly kneeDeg?: number;
}

export interface HeelRaise {
	readonly heelCm: number;
	readonly ankleRiseCm: number;
	/** N·m per leg. */
	readonly moment: number;
	readonly armCm: number;
	readonly demand: Demand;
}

/** @example 180 cm, 80 kg, 30°, one leg → heel 9.6 cm up, 55.3 N·m on a lever of 7.15 cm (golden table G38) */
export function heelRaise({
	body,
	pitchDeg,
	legs = 2,
	loadKg = 0,
	kneeDeg = 0
}: HeelRaiseProblem): HeelRaise {
	const phi = pitchDeg * RAD;
	const c = (FOOT.ball - FOOT.ankle) * body.footM;
	const ha = body.ankleHeightM;
	const arm = c * Math.cos(phi) - ha * Math.sin(phi);
	// Both feet stand on the floor; what hangs on one ankle is the rest, shared.
	const aboveKg = (body.massKg * (1 - legs * MASS.foot) + loadKg) / legs;
	return {
		heelCm: 100 * FOOT.ball * body.footM * Math.sin(phi),
		ankleRiseCm: 100 * (c * Math.sin(phi) + ha * Math.cos(phi) - ha),
		moment: GRAVITY * aboveKg * arm,
		armCm: 100 * arm,
		demand: {
			...(pitchDeg > 0 ? { bigToeExtension: pitchDeg } : {}),
			...(pitchDeg < 0 ? { weightBearingDorsiflexion: -pitchDeg } : {}),
			...(kneeDeg > 0 ? { kneeFlexion: kneeDeg, weightBearingDorsiflexion: kneeDeg / 2 } : {})
		}
	};
}

/** The pose, on an edge `edgeCm` high where the heel can drop below. */
export function heelRaiseStick(body: Body, pitchDeg: number, legs: 1 | 2, kneeDeg = 0, edgeCm = 0): Stick {
	const foot = footAt(body, FOOT.ball * body.footM, edgeCm / 100, pitchDeg * RAD);
	const shank = (0.5 * kneeDeg + 1) * RAD;
	const thigh = (0.5 * kneeDeg + 1) * RAD;
	const near = legPoints(body, foot, shank);
	const hip = hipOf(body, near.knee, thigh);
	const shoulder = onTrunk(hip, 0.02, body.trunkM);
	if (legs === 2) return { near, hip, shoulder };
	const knee = kneeOf(body, point(hip.x, hip.y - body.shankM - body.thighM), 0);
	const far = {
		knee: point(hip.x + 0.3 * body.thighM, knee.y + 0.03),
		ankle: point(hip.x - 0.16 * body.heightM, knee.y - 0.12),
		heel: point(hip.x - 0.2 * body.heightM, knee.y - 0.1),
		ball: point(hip.x - 0.17 * body.heightM, knee.y - 0.2),
		toe: point(hip.x - 0.16 * body.heightM, knee.y - 0.23)
	};
	return { near, far, hip, shoulder };
}
