/**
 * Leg press on a sloped rail: the sled's distance folds knee and hip until the pelvis would roll up off the pad.
 *
 * Frame: along the rail (hip to foot plate) and across it (plate offset, + towards the head side). Hip fold is counted from the back rest:
 * thigh direction = ρ + atan2(p, s) + acos((Lt² + D² − Ls²)/(2 Lt D)); fold = thigh direction + b. The straight leg is about ρ + b.
 * Excess over what the hip gives is posterior tilt of the pelvis. No weight of the legs: moments compare set-ups.
 * @source common-practice centre of pressure 20 % of the foot beyond the ankle
 */
import { cosine, DEG, RAD } from '../base/angle.ts';
import { point, type Point } from '../base/vector.ts';
import { PROPORTION, type Body } from '../body/body.ts';
import { FOOT, GRAVITY } from './constants.ts';
import type { Limits } from './problem.ts';
import type { Stick } from './stick.ts';
import { atMost, holds, rangeChecks, type Demand, type MovementCheck } from './verdict.ts';

export interface LegPressProblem {
	readonly body: Body;
	/** Hip centre to ankle along the rail, cm. */
	readonly sledCm: number;
	readonly railDeg?: number;
	/** Back rest above level. */
	readonly backDeg?: number;
	/** Ankle across the rail, cm. */
	readonly offsetCm?: number;
	readonly loadKg?: number;
	readonly legs?: 1 | 2;
	readonly limits?: Limits;
	readonly marginDeg?: number;
}

export interface LegPress {
	readonly feasible: boolean;
	readonly kneeFlexion: number;
	readonly thighTrunkFlexion: number;
	/** Ankle on the plate, which stands square to the rail. */
	readonly dorsiflexion: number;
	/** Fold beyond the limit: how far the pelvis rolls. */
	readonly pelvicTilt: number;
	readonly demand: Demand;
	readonly moments: { readonly kneePerLeg: number; readonly hipPerLeg: number };
	readonly checks: readonly MovementCheck[];
	readonly stick: Stick;
}

const PRESSURE = 0.2;

/** Only the angles, degrees; and in the rail's frame (metres) knee and ankle seen from the hip. */
export function pressAngles({ body, sledCm, railDeg = 45, backDeg = 20, offsetCm = 10 }: LegPressProblem) {
	const { shankM: Ls, thighM: Lt } = body;
	const s = sledCm / 100;
	const across = offsetCm / 100;
	const D = Math.hypot(s, across);
	/** Thigh above the rail's direction. */
	const up = Math.atan2(across, s) + Math.acos(cosine((Lt * Lt + D * D - Ls * Ls) / (2 * Lt * D)));
	const kneeS = Lt * Math.cos(up);
	const kneeP = Lt * Math.sin(up);
	return {
		kneeFlexion: (Math.PI - Math.acos(cosine((Ls * Ls + Lt * Lt - D * D) / (2 * Ls * Lt)))) * DEG,
		thighTrunkFlexion: railDeg + up * DEG + backDeg,
		dorsiflexion: Math.atan2(kneeP - across, s - kneeS) * DEG,
		beyondM: Math.max(0, D - Ls - Lt),
		s,
		across,
		kneeS,
		kneeP
	};
}

/** @example 180 cm, 80 kg, sled 65 cm, rail 45°, back 20°, 100 kg → knee 83.8°, fold 115.8° (golden table G36) */
export function legPress(p: LegPressProblem): LegPress {
	const { body, limits = {}, marginDeg = 0, railDeg = 45, backDeg = 20, loadKg = 0, legs = 2 } = p;
	const { kneeFlexion, thighTrunkFlexion, dorsiflexion, beyondM, s, across, kneeS, kneeP } = pressAngles(p);
	const force = (GRAVITY * loadKg * Math.sin(railDeg * RAD)) / legs;
	const pressureP = across + PRESSURE * body.footM;
	const demand: Demand = { kneeFlexion, thighTrunkFlexion, weightBearingDorsiflexion: dorsiflexion };
	const fold = limits.thighTrunkFlexionDeg;
	const checks = [...rangeChecks(demand, limits, marginDeg), atMost('reach', 100 * beyondM, 0, 'cm')];
	return {
		feasible: holds(checks),
		kneeFlexion,
		thighTrunkFlexion,
		dorsiflexion,
		pelvicTilt: fold === undefined ? 0 : Math.max(0, thighTrunkFlexion - (fold - marginDeg)),
		demand,
		moments: { kneePerLeg: force * (kneeP - pressureP), hipPerLeg: force * pressureP },
		checks,
		stick: stickOf(body, railDeg * RAD, backDeg * RAD, s, across, kneeS, kneeP)
	};
}

/** The machine drawn level with the floor: the seat low, the rail rising to the right. */
function stickOf(
	body: Body,
	rail: number,
	back: number,
	s: number,
	across: number,
	kneeS: number,
	kneeP: number
): Stick {
	const hip = point(0, 0.3 + PROPORTION.hipAboveSeat * body.heightM);
	const at = (a: number, b: number): Point =>
		point(hip.x + a * Math.cos(rail) - b * Math.sin(rail), hip.y + a * Math.sin(rail) + b * Math.cos(rail));
	const ha = body.ankleHeightM;
	const Lf = body.footM;
	const near = {
		knee: at(kneeS, kneeP),
		ankle: at(s, across),
		heel: at(s + ha, across - FOOT.ankle * Lf),
		ball: at(s + ha, across + (FOOT.ball - FOOT.ankle) * Lf),
		toe: at(s + ha, across + (1 - FOOT.ankle) * Lf)
	};
	return {
		near,
		hip,
		shoulder: point(hip.x - body.trunkM * Math.cos(back), hip.y + body.trunkM * Math.sin(back)),
		hand: point(hip.x + 0.06, hip.y - 0.1)
	};
}
