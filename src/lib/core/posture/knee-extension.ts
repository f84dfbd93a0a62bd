/**
 * Seated knee extension: what gravity and a machine ask of the knee as it straightens, φ = knee flexion, thigh level.
 * A cuff is heaviest at full extension and nothing at 90°; a machine's cam makes it about level.
 * @source common-practice pad and cuff at 90 % of the shank; winter-2009 masses
 */
import { RAD } from '../base/angle.ts';
import { point, type Point } from '../base/vector.ts';
import { CENTRE, MASS, PROPORTION, type Body } from '../body/body.ts';
import { FOOT, GRAVITY } from './constants.ts';
import type { Stick } from './stick.ts';

export interface KneeExtensionProblem {
	readonly body: Body;
	/** Knee flexion, degrees: 0 straight, 90 hanging. */
	readonly kneeDeg: number;
	readonly cuffKg?: number;
	/** Weight of a machine's stack as it acts on the pad. */
	readonly machineKg?: number;
}

export interface KneeExtension {
	readonly limb: number;
	readonly cuff: number;
	readonly machine: number;
	readonly total: number;
}

const PAD = 0.9;

/** Moments in N·m about the knee. @example 180 cm, 80 kg, 30°, 5 kg cuff → limb 10.6, cuff 16.9 (golden table G37) */
export function kneeExtension({
	body,
	kneeDeg,
	cuffKg = 0,
	machineKg = 0
}: KneeExtensionProblem): KneeExtension {
	const M = body.massKg;
	const level = Math.cos(kneeDeg * RAD);
	const pad = PAD * body.shankM;
	const limb =
		GRAVITY *
		level *
		M *
		(MASS.shank * CENTRE.shank * body.shankM + MASS.foot * (body.shankM + 0.28 * body.ankleHeightM));
	const cuff = GRAVITY * level * cuffKg * pad;
	const machine = GRAVITY * machineKg * pad * camOf(kneeDeg);
	return { limb, cuff, machine, total: limb + cuff + machine };
}

/** A cam that keeps the resistance about level, a tenth less at either end. @source common-practice */
const camOf = (kneeDeg: number): number => 1 - 0.1 * ((kneeDeg - 45) / 45) ** 2;

/** Sitting on a seat with the knee at an angle, for drawing. */
export function seatedStick(body: Body, seatCm: number, kneeDeg: number, backDeg = -5): Stick {
	const hip = point(0, seatCm / 100 + PROPORTION.hipAboveSeat * body.heightM);
	const knee = point(body.thighM, hip.y);
	const angle = (90 - kneeDeg) * RAD;
	const along = (d: number, side: number): Point =>
		point(
			knee.x + d * Math.sin(angle) + side * Math.cos(angle),
			knee.y - d * Math.cos(angle) + side * Math.sin(angle)
		);
	const Ls = body.shankM;
	const ha = body.ankleHeightM;
	const Lf = body.footM;
	const near = {
		knee,
		ankle: along(Ls, 0),
		heel: along(Ls + ha, -FOOT.ankle * Lf),
		ball: along(Ls + ha, (FOOT.ball - FOOT.ankle) * Lf),
		toe: along(Ls + ha, (1 - FOOT.ankle) * Lf)
	};
	const rest = point(knee.x, knee.y - Ls);
	const far = {
		knee,
		ankle: rest,
		heel: point(rest.x - FOOT.ankle * Lf, rest.y - ha),
		ball: point(rest.x + (FOOT.ball - FOOT.ankle) * Lf, rest.y - ha),
		toe: point(rest.x + (1 - FOOT.ankle) * Lf, rest.y - ha)
	};
	return {
		near,
		far,
		hip,
		shoulder: point(
			hip.x + body.trunkM * Math.sin(backDeg * RAD),
			hip.y + body.trunkM * Math.cos(backDeg * RAD)
		),
		hand: point(hip.x + 0.02, hip.y - 0.02)
	};
}
