/**
 * Bridge at its top: shoulders on the floor (or a bench), a straight line from shoulder over hip to knee, feet flat. Vertical shanks mean
 * a knee bent about 117°, not 90°; feet farther away bend it less and ask more of the hamstrings (a negative knee moment).
 *
 * Frame: x from the shoulder towards the feet, y up. The feet carry what the shoulders do not: moments about the shoulder. Arms lie on
 * the floor and carry nothing.
 * @source common-practice shoulder height 4.5 % of stature, centre of pressure 10 % of the foot ahead of the ankle; winter-2009 masses
 */
import { cosine, DEG, RAD } from '../base/angle.ts';
import { between, point, type Point } from '../base/vector.ts';
import { CENTRE, MASS, type Body } from '../body/body.ts';
import { FOOT, GRAVITY } from './constants.ts';
import { flatFoot } from './leg.ts';
import type { Limits } from './problem.ts';
import type { Stick } from './stick.ts';
import { atMost, holds, rangeChecks, type Demand, type MovementCheck } from './verdict.ts';

export interface BridgeProblem {
	readonly body: Body;
	/** From shoulder to ankle along the floor, cm. Give this or `kneeDeg`. */
	readonly footDistCm?: number;
	readonly kneeDeg?: number;
	/** Upper back on a bench of this height instead of the floor. */
	readonly shoulderCm?: number;
	/** Heels or feet on a raised surface. */
	readonly footCm?: number;
	readonly legs?: 1 | 2;
	/** Weight laid across the hips. */
	readonly loadKg?: number;
	readonly limits?: Limits;
	readonly marginDeg?: number;
}

export interface Bridge {
	readonly feasible: boolean;
	readonly footDistCm: number;
	readonly kneeFlexion: number;
	/** Shank from vertical, + when the knee lies beyond the ankle, towards the toes. */
	readonly shank: number;
	/** Of the line shoulder–knee above level. */
	readonly inclination: number;
	readonly hipHeightCm: number;
	/** Share of the moving weight that the feet carry, percent of body mass and load. */
	readonly footShare: number;
	readonly demand: Demand;
	readonly moments: { readonly kneePerLeg: number; readonly hipPerLeg: number; readonly lumbosacral: number };
	readonly checks: readonly MovementCheck[];
	readonly stick: Stick;
}

/**
 * Trunk without head: the head lies on the floor and is no counterweight. @source winter-2009 0.497 of body mass, half-way (from memory)
 */
const TRUNK = { mass: 0.497, centre: 0.5 } as const;
const SHOULDER = 0.045;
const PRESSURE = 0.1;

interface Line {
	readonly beta: number;
	readonly hip: Point;
	readonly knee: Point;
	readonly ankle: Point;
	readonly beyondM: number;
	readonly kneeFlexion: number;
}

/** The same turn as 0 … 360°, so that a folded knee does not read as an over-straight one. */
const turned = (deg: number): number => (deg < -1e-9 ? deg + 360 : deg);

function lineAt(p: BridgeProblem, X: number): Line {
	const { body } = p;
	const ys = p.shoulderCm === undefined ? SHOULDER * body.heightM : p.shoulderCm / 100;
	const ankle = point(X, body.ankleHeightM + (p.footCm ?? 0) / 100);
	const L = body.trunkM + body.thighM;
	const Ls = body.shankM;
	const dy = ankle.y - ys;
	const D = Math.hypot(X, dy);
	const beyondM = Math.max(0, D - L - Ls, Math.abs(L - Ls) - D);
	const c = (L * L + D * D - Ls * Ls) / (2 * L * D);
	const beta = Math.atan2(dy, X) + Math.acos(cosine(c));
	const at = (d: number): Point => point(d * Math.cos(beta), ys + d * Math.sin(beta));
	const knee = at(L);
	// Angle between the thigh's direction and the shank's.
	const shankAngle = Math.atan2(ankle.y - knee.y, ankle.x - knee.x);
	return { beta, hip: at(body.trunkM), knee, ankle, beyondM, kneeFlexion: turned((beta - shankAngle) * DEG) };
}

/** The shoulder–ankle distance along the floor, cm, at which the knee bends by so much: the law of cosines about the knee. */
export function footDistanceFor(p: BridgeProblem, kneeDeg: number): number {
	const { body } = p;
	const ys = p.shoulderCm === undefined ? SHOULDER * body.heightM : p.shoulderCm / 100;
	const dy = body.ankleHeightM + (p.footCm ?? 0) / 100 - ys;
	const L = body.trunkM + body.thighM;
	const Ls = body.shankM;
	return 100 * Math.sqrt(Math.max(0, L * L + Ls * Ls + 2 * L * Ls * Math.cos(kneeDeg * RAD) - dy * dy));
}

/**
 * Solves a bridge.
 * @example 165 cm, 65 kg, feet 78.52 cm from the shoulder → knee 116.8°, hip 28.8 cm high (golden table G35), 39 % on the feet (note 0014)
 */
export function bridge(p: BridgeProblem): Bridge {
	const { body, limits = {}, marginDeg = 0, legs = 2, loadKg = 0 } = p;
	const footDistCm = p.footDistCm ?? footDistanceFor(p, p.kneeDeg ?? 117);
	const s = lineAt(p, footDistCm / 100);
	const M = body.massKg;
	const cos = Math.cos(s.beta);
	const hipX = s.hip.x;
	const footX = s.ankle.x + (FOOT.centre - FOOT.ankle) * body.footM;
	const pressureX = s.ankle.x + PRESSURE * body.footM;
	const thighX = between(s.hip, s.knee, CENTRE.thigh).x;
	const shankX = between(s.knee, s.ankle, CENTRE.shank).x;
	// A free leg goes on in the line of the trunk and thigh.
	const out = (d: number): number => hipX + d * cos;
	const free =
		legs === 1
			? M *
				(MASS.thigh * out(CENTRE.thigh * body.thighM) +
					MASS.shank * out(body.thighM + CENTRE.shank * body.shankM) +
					MASS.foot * out(body.thighM + body.shankM))
			: 0;
	const freeKg = legs === 1 ? M * (MASS.thigh + MASS.shank + MASS.foot) : 0;
	const trunkFirst = M * TRUNK.mass * (hipX - TRUNK.centre * body.trunkM * cos) + loadKg * hipX;
	const legFirst = legs * M * (MASS.thigh * thighX + MASS.shank * shankX + MASS.foot * footX);
	const F = (trunkFirst + legFirst + free) / pressureX;
	// From the ground up, per leg: the reaction less foot and shank about the knee, less the thigh about the hip.
	const own = M * (MASS.foot * (footX - s.knee.x) + MASS.shank * (shankX - s.knee.x));
	const kneePerLeg = -GRAVITY * ((F / legs) * (pressureX - s.knee.x) - own);
	const hipPerLeg =
		GRAVITY *
		((F / legs) * (pressureX - hipX) -
			M * (MASS.foot * (footX - hipX) + MASS.shank * (shankX - hipX) + MASS.thigh * (thighX - hipX)));
	const lumbarX = hipX - CENTRE.lumbosacral * body.trunkM * cos;
	const below =
		legs *
			M *
			(MASS.foot * (footX - lumbarX) + MASS.shank * (shankX - lumbarX) + MASS.thigh * (thighX - lumbarX)) +
		(free - freeKg * lumbarX) +
		loadKg * (hipX - lumbarX) +
		M * MASS.pelvis * (hipX - CENTRE.pelvis * body.trunkM * cos - lumbarX);
	const demand: Demand = { kneeFlexion: s.kneeFlexion, hipExtension: 0 };
	const checks = [...rangeChecks(demand, limits, marginDeg), atMost('reach', 100 * s.beyondM, 0, 'cm')];
	const foot = flatFoot(body, s.ankle.x - FOOT.ankle * body.footM, (p.footCm ?? 0) / 100);
	const near = { heel: foot.heel, ball: foot.ball, toe: foot.toe, ankle: s.ankle, knee: s.knee };
	const along = (d: number): Point => point(hipX + d * cos, s.hip.y + d * Math.sin(s.beta));
	const end = along(body.thighM + body.shankM);
	const up = (a: number, b: number): Point =>
		point(end.x + a * cos - b * Math.sin(s.beta), end.y + a * Math.sin(s.beta) + b * cos);
	const shoulder = point(0, p.shoulderCm === undefined ? SHOULDER * body.heightM : p.shoulderCm / 100);
	const stick: Stick = {
		near,
		hip: s.hip,
		shoulder,
		...(legs === 1
			? {
					far: {
						knee: along(body.thighM),
						ankle: end,
						heel: up(0.03, -0.02),
						ball: up(0.03, 0.45 * body.footM),
						toe: up(0.02, 0.75 * body.footM)
					}
				}
			: {})
	};
	return {
		feasible: holds(checks),
		footDistCm,
		kneeFlexion: s.kneeFlexion,
		shank: Math.atan2(s.knee.x - s.ankle.x, s.knee.y - s.ankle.y) * DEG,
		inclination: s.beta * DEG,
		hipHeightCm: 100 * s.hip.y,
		footShare: (100 * F) / (M + loadKg),
		demand,
		moments: { kneePerLeg, hipPerLeg, lumbosacral: GRAVITY * (F * (pressureX - lumbarX) - below) },
		checks,
		stick
	};
}
