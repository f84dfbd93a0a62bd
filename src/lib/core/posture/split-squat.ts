/**
 * Split squat and lunge: front foot flat (on a riser of `frontElevationCm` if wanted), rear foot on its ball, heel up 60°. Trunk and
 * front shank are set by technique; the front thigh is lowered until the rear knee's centre is 3.5 cm and 2 % of stature above the floor,
 * or to a given inclination.
 *
 * Two feet on the ground leave one unknown: how far the reactions lean towards the centre of mass, η (0 upright, 1 aimed at it). Angles do
 * not depend on it, single moments do, widely: they are for the band or for hiding. Front knee and hip angles need no η.
 * @source common-practice stride 0.42 of stature, shank and trunk by technique, rear foot 60°; winter-2009 masses
 */
import { DEG, RAD } from '../base/angle.ts';
import { rootIn } from '../base/root.ts';
import { between, type Point } from '../base/vector.ts';
import { CENTRE, MASS, type Body } from '../body/body.ts';
import { ASSUMED_DORSIFLEXION, FOOT, GRAVITY } from './constants.ts';
import { flatFoot, footAt, hipOf, kneeOf, legBetween, onTrunk, type Foot, type Leg } from './leg.ts';
import type { Limits, Load, Technique } from './problem.ts';
import { legPoints, type Stick } from './stick.ts';
import { upperBody } from './upper-body.ts';
import { atMost, holds, rangeChecks, room, type Demand, type MovementCheck } from './verdict.ts';

export interface SplitSquatProblem {
	readonly body: Body;
	readonly technique?: Technique;
	/** From front heel to rear ball, cm; default 42 % of stature. */
	readonly strideCm?: number;
	readonly frontElevationCm?: number;
	readonly rearElevationCm?: number;
	/** Heel of the rear foot up by so much; default 60°. */
	readonly rearPitchDeg?: number;
	/** Inclination of the front thigh; left out, all the way down. */
	readonly thighDeg?: number;
	/** Instead of the technique's. */
	readonly shankDeg?: number;
	readonly leanDeg?: number;
	readonly load?: Load;
	/** Of the front leg, and of the rear one. */
	readonly limits?: Limits;
	readonly rearLimits?: Limits;
	readonly marginDeg?: number;
	/** How far the reactions aim at the centre of mass; default 0.5. */
	readonly eta?: number;
}

export interface SplitSquat {
	readonly feasible: boolean;
	readonly front: {
		readonly kneeFlexion: number;
		readonly thighTrunkFlexion: number;
		readonly weightBearingDorsiflexion: number;
		readonly trunkLean: number;
		readonly thigh: number;
	};
	readonly rear: {
		readonly kneeFlexion: number;
		readonly hipExtension: number;
		readonly bigToeExtension: number;
	};
	readonly demand: Demand;
	readonly rearDemand: Demand;
	/** Share of the weight on the front foot, percent. */
	readonly frontShare: number;
	readonly moments: {
		readonly kneePerLeg: number;
		readonly hipPerLeg: number;
		readonly kneeRear: number;
		readonly lumbosacral: number;
	};
	readonly checks: readonly MovementCheck[];
	readonly stick: Stick;
}

const STRIDE = 0.42;
const REAR_PITCH_DEG = 60;
/** Height of the rear knee's centre at the bottom: a mat, and the kneecap below it. */
const kneeClear = (body: Body): number => 0.035 + 0.02 * body.heightM;

/** Front shank and trunk by technique, degrees. */
function leansFor(p: SplitSquatProblem): readonly [shank: number, lean: number] {
	const ankle = p.limits?.weightBearingDorsiflexionDeg;
	const spent = ankle === undefined ? ASSUMED_DORSIFLEXION : ankle - (p.marginDeg ?? 0);
	const by: Readonly<Record<Technique, readonly [number, number]>> = {
		'sit-back': [0, 25],
		parallel: [15, 15],
		'knee-forward': [spent, 5],
		stacked: [5, 0]
	};
	const [shank, lean] = by[p.technique ?? 'parallel'];
	return [p.shankDeg ?? shank, p.leanDeg ?? lean];
}

interface Placed {
	readonly body: Body;
	readonly front: Foot;
	readonly rear: Foot;
	readonly shank: number;
	readonly frontKnee: Point;
}

const placed = (p: SplitSquatProblem, shank: number): Placed => {
	const { body } = p;
	const front = flatFoot(body, 0, (p.frontElevationCm ?? 0) / 100);
	const stride = p.strideCm === undefined ? STRIDE * body.heightM : p.strideCm / 100;
	return {
		body,
		front,
		rear: footAt(body, -stride, (p.rearElevationCm ?? 0) / 100, (p.rearPitchDeg ?? REAR_PITCH_DEG) * RAD),
		shank,
		frontKnee: kneeOf(body, front.ankle, shank)
	};
};

const rearLeg = ({ body, rear }: Placed, hip: Point): Leg =>
	legBetween(body, hip.x - rear.ankle.x, hip.y - rear.ankle.y);

/** Front thigh at which the rear knee is just off the floor, radians. */
function bottom(s: Placed): number {
	const { body, rear, frontKnee } = s;
	const above = (thigh: number): number => {
		const hip = hipOf(body, frontKnee, thigh);
		const leg = rearLeg(s, hip);
		return rear.ankle.y + body.shankM * Math.cos(leg.shank) - kneeClear(body);
	};
	return rootIn(above, 10 * RAD, 130 * RAD, 1e-8).x;
}

/**
 * Solves a split squat.
 * @example 165 cm, 65 kg, parallel → front knee 103.3°, rear knee 90.8°, two thirds of the weight in front (golden table G28)
 */
export function splitSquat(p: SplitSquatProblem): SplitSquat {
	const { body, limits = {}, rearLimits = {}, marginDeg = 0 } = p;
	const [shankDeg, leanDeg] = leansFor(p);
	const lean = leanDeg * RAD;
	const s = placed(p, shankDeg * RAD);
	const thigh = p.thighDeg === undefined ? bottom(s) : p.thighDeg * RAD;
	const hip = hipOf(body, s.frontKnee, thigh);
	const rear = rearLeg(s, hip);
	const front = {
		kneeFlexion: shankDeg + thigh * DEG,
		thighTrunkFlexion: thigh * DEG + leanDeg,
		weightBearingDorsiflexion: shankDeg,
		trunkLean: leanDeg,
		thigh: thigh * DEG
	};
	const behind = {
		kneeFlexion: rear.knee * DEG,
		hipExtension: -(rear.thigh + lean) * DEG,
		bigToeExtension: p.rearPitchDeg ?? REAR_PITCH_DEG
	};
	const demand: Demand = {
		kneeFlexion: front.kneeFlexion,
		thighTrunkFlexion: front.thighTrunkFlexion,
		weightBearingDorsiflexion: shankDeg
	};
	const checks = [
		...rangeChecks(demand, limits, marginDeg),
		...rangeChecks(behind, rearLimits, marginDeg),
		atMost('reach', 100 * rear.beyondM, 0, 'cm')
	];
	return {
		feasible: holds(checks),
		front,
		rear: behind,
		demand,
		rearDemand: behind,
		...statics(p, s, hip, rear, lean),
		checks,
		stick: {
			near: legPoints(body, s.front, s.shank),
			far: legPoints(body, s.rear, rear.shank),
			hip,
			shoulder: onTrunk(hip, lean, body.trunkM)
		}
	};
}

/**
 * Worst slack (degrees, or cm out of reach) of a split squat as a function of its front thigh, for walks; angles alone, no statics.
 */
export function splitSquatSlack(p: Omit<SplitSquatProblem, 'thighDeg'>): {
	readonly bottomDeg: number;
	readonly slackAt: (thighDeg: number) => number;
} {
	const { body, limits = {}, rearLimits = {}, marginDeg = 0 } = p;
	const [shankDeg, leanDeg] = leansFor(p);
	const s = placed(p, shankDeg * RAD);
	const fixed = Math.min(
		room(limits.weightBearingDorsiflexionDeg, marginDeg) - shankDeg,
		room(rearLimits.bigToeExtensionDeg, marginDeg) - (p.rearPitchDeg ?? REAR_PITCH_DEG)
	);
	const [knee, fold, back, behind] = [
		room(limits.kneeFlexionDeg, marginDeg),
		room(limits.thighTrunkFlexionDeg, marginDeg),
		room(rearLimits.hipExtensionDeg, marginDeg),
		room(rearLimits.kneeFlexionDeg, marginDeg)
	];
	return {
		bottomDeg: bottom(s) * DEG,
		slackAt: (thighDeg) => {
			const rear = rearLeg(s, hipOf(body, s.frontKnee, thighDeg * RAD));
			if (rear.beyondM > 1e-9) return -100 * rear.beyondM;
			return Math.min(
				fixed,
				knee - shankDeg - thighDeg,
				fold - thighDeg - leanDeg,
				back + (rear.thigh + leanDeg * RAD) * DEG,
				behind - rear.knee * DEG
			);
		}
	};
}

/** Reactions of both feet, then moments from the ground up. */
function statics(
	p: SplitSquatProblem,
	s: Placed,
	hip: Point,
	rear: Leg,
	lean: number
): Pick<SplitSquat, 'frontShare' | 'moments'> {
	const { body, front, frontKnee } = s;
	const M = body.massKg;
	const { load, eta = 0.5 } = p;
	const arms =
		load === undefined || load.at === 'sides' || load.at === 'hands' || load.at === 'none' ? 'hang' : 'chest';
	const upper = upperBody(body, arms, load);
	const W = M + (load === undefined || load.at === 'none' ? 0 : load.kg);
	const rearKnee = kneeOf(body, s.rear.ankle, rear.shank);
	const frontShank = between(frontKnee, front.ankle, CENTRE.shank);
	const frontThigh = between(hip, frontKnee, CENTRE.thigh);
	const rearShank = between(rearKnee, s.rear.ankle, CENTRE.shank);
	const rearThigh = between(hip, rearKnee, CENTRE.thigh);
	const sin = Math.sin(lean);
	const cos = Math.cos(lean);
	const legs = (of: (q: Point) => number): number =>
		M *
		(MASS.foot * (of(front.centre) + of(s.rear.centre)) +
			MASS.shank * (of(frontShank) + of(rearShank)) +
			MASS.thigh * (of(frontThigh) + of(rearThigh)));
	const comX =
		(legs((q) => q.x) +
			upper.massKg * hip.x +
			upper.alongKgM * sin +
			upper.aheadKgM * cos +
			upper.offsetKgM) /
		W;
	// Arms and hanging loads are taken at the height of the shoulder they hang from: only the aim of the reactions sees it.
	const comY = (legs((q) => q.y) + upper.massKg * hip.y + upper.alongKgM * cos - upper.aheadKgM * sin) / W;
	const e = front.heel.y;
	const er = s.rear.ball.y;
	const xF = front.heel.x + FOOT.target * body.footM;
	const xR = s.rear.ball.x;
	const k = (eta * (xF - comX)) / (comY - e);
	const F = (W * (comX - xR)) / (xF - xR + (e - er) * k);
	const R = W - F;
	const H = k * F;
	const knee =
		F * (frontKnee.x - xF) +
		H * (frontKnee.y - e) -
		M * (MASS.foot * (frontKnee.x - front.centre.x) + MASS.shank * (frontKnee.x - frontShank.x));
	const hipMoment =
		F * (xF - hip.x) -
		H * (hip.y - e) -
		M *
			(MASS.foot * (front.centre.x - hip.x) +
				MASS.shank * (frontShank.x - hip.x) +
				MASS.thigh * (frontThigh.x - hip.x));
	const kneeRear =
		R * (rearKnee.x - xR) -
		H * (rearKnee.y - er) -
		M * (MASS.foot * (rearKnee.x - s.rear.centre.x) + MASS.shank * (rearKnee.x - rearShank.x));
	return {
		frontShare: (100 * F) / W,
		moments: {
			kneePerLeg: GRAVITY * knee,
			hipPerLeg: GRAVITY * hipMoment,
			kneeRear: GRAVITY * kneeRear,
			lumbosacral: GRAVITY * (upper.lumbarAlongKgM * sin + upper.lumbarAheadKgM * cos + upper.offsetKgM)
		}
	};
}
