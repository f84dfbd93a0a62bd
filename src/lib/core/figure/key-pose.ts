/**
 * Key poses: a body drawn from the directions of its limbs, for lying, seated, kneeling and plank exercises in which nothing is solved.
 *
 * Directions are in degrees from straight down, + forward (towards where the face looks when standing); the trunk from upright, + leaning
 * forward, so lying face up is −90 and face down +90. Then knee flexion = thigh − shank and fold = thigh + trunk. In the front view +
 * is away from the midline and limbs may be foreshortened; nothing is read off such a pose.
 * The lowest point rests on the floor, or the hips on a seat.
 */
import { RAD } from '../base/angle.ts';
import { point, type Point } from '../base/vector.ts';
import type { Axis } from '../body/axis.ts';
import { PROPORTION, type Body } from '../body/body.ts';
import { FOOT } from '../posture/constants.ts';

export interface PoseLeg {
	readonly thigh: number;
	readonly shank: number;
	/** Direction from heel to toe; left out, square to the shank. */
	readonly foot?: number;
	/** Front view: shares of the true lengths that are seen. */
	readonly short?: readonly [thigh: number, shank: number];
}

export const POSE_PROPS = [
	'seat',
	'bench',
	'wall-behind',
	'wall-front',
	'counter',
	'step-near',
	'step-far',
	'pillow-knees',
	'pillow-pelvis',
	'pillow-back',
	'bolster-heels',
	'bolster-knees',
	'band-knees',
	'band-shins',
	'band-ankles',
	'ball-hands',
	'weight-hands',
	'weight-hips',
	'weight-shoulders',
	'cuff',
	'stick',
	'roller-far',
	'roller-near',
	'machine',
	'blocks-hands'
] as const;
export type PoseProp = (typeof POSE_PROPS)[number];

export interface KeyPose {
	readonly view?: 'front';
	readonly trunk: number;
	readonly near: PoseLeg;
	/** Left out, as the near leg. */
	readonly far?: PoseLeg;
	readonly arm?: number;
	readonly forearm?: number;
	/** The head's own tilt beyond the trunk's. */
	readonly head?: number;
	/** Hips on a seat of this height, cm; left out, the lowest point is on the floor. */
	readonly seatCm?: number;
	/** The lowest point at this height instead of the floor. */
	readonly raisedCm?: number;
	readonly props?: readonly PoseProp[];
}

export interface PosedLeg {
	readonly heel: Point;
	readonly ball: Point;
	readonly toe: Point;
	readonly ankle: Point;
	readonly knee: Point;
}

/** A pose as points, metres: what is drawn. */
export interface PosedPoints {
	readonly near: PosedLeg;
	readonly far?: PosedLeg;
	readonly hip: Point;
	/** Front view: the other hip. */
	readonly farHip?: Point;
	readonly shoulder: Point;
	readonly elbow?: Point;
	readonly hand?: Point;
	readonly headDeg: number;
}

const towards = (from: Point, length: number, deg: number): Point =>
	point(from.x + length * Math.sin(deg * RAD), from.y - length * Math.cos(deg * RAD));

function legPoints(body: Body, hip: Point, leg: PoseLeg, front: boolean): PosedLeg {
	const [thighSeen, shankSeen] = leg.short ?? [1, 1];
	const knee = towards(hip, body.thighM * thighSeen, leg.thigh);
	const ankle = towards(knee, body.shankM * shankSeen, leg.shank);
	if (front) {
		// Seen end-on: as wide as a foot, a little turned out.
		const sole = towards(ankle, body.ankleHeightM, leg.shank);
		const out = leg.shank + (leg.shank < 0 || (leg.shank === 0 && hip.x < 0) ? -90 : 90);
		return {
			knee,
			ankle,
			heel: towards(sole, 0.024, out + 180),
			ball: towards(sole, 0.036, out),
			toe: towards(sole, 0.05, out)
		};
	}
	const foot = leg.foot ?? leg.shank + 90;
	// The sole lies below the ankle, square to the foot's own direction.
	const heel = towards(towards(ankle, body.ankleHeightM, foot - 90), FOOT.ankle * body.footM, foot + 180);
	return {
		knee,
		ankle,
		heel,
		ball: towards(heel, FOOT.ball * body.footM, foot),
		toe: towards(heel, body.footM, foot)
	};
}

/** Hips and shoulders are this wide apart on either side of the midline in the front view, shares of stature. */
const HALF_HIP = 0.05;

/** Forward kinematics of a key pose in a body's own lengths. */
export function pointsOfPose(body: Body, pose: KeyPose): PosedPoints {
	const front = pose.view === 'front';
	const across = front ? HALF_HIP * body.heightM : 0;
	const side = (d: number): Point => point(d * Math.cos(pose.trunk * RAD), -d * Math.sin(pose.trunk * RAD));
	const hip = side(across);
	const farHip = side(-across);
	const mirrored = (l: PoseLeg): PoseLeg => ({
		...l,
		thigh: -l.thigh,
		shank: -l.shank,
		foot: l.foot === undefined ? -(l.shank + 90) : -l.foot
	});
	const near = legPoints(body, hip, pose.near, front);
	const farLeg = pose.far ?? (front ? mirrored(pose.near) : undefined);
	const far = farLeg === undefined ? undefined : legPoints(body, front ? farHip : hip, farLeg, front);
	const shoulder = point(body.trunkM * Math.sin(pose.trunk * RAD), body.trunkM * Math.cos(pose.trunk * RAD));
	const arm = pose.arm ?? -pose.trunk * 0.2;
	const elbow = towards(shoulder, PROPORTION.upperArm * body.heightM, arm);
	const hand = towards(
		elbow,
		(PROPORTION.forearm + PROPORTION.grip) * body.heightM,
		pose.forearm ?? arm + 10
	);
	const all: PosedPoints = {
		near,
		...(far === undefined ? {} : { far }),
		hip,
		...(front ? { farHip } : {}),
		shoulder,
		elbow,
		hand,
		headDeg: pose.trunk + (pose.head ?? 0)
	};
	const rise =
		pose.seatCm === undefined
			? (pose.raisedCm ?? 0) / 100 - lowest(body, all)
			: pose.seatCm / 100 + PROPORTION.hipAboveSeat * body.heightM - hip.y;
	return lifted(all, rise);
}

/** Flesh below the joint centres, shares of stature. */
const FLESH = { hip: 0.05, shoulder: 0.045, knee: 0.03, elbow: 0.02 } as const;

function lowest(body: Body, p: PosedPoints): number {
	const H = body.heightM;
	const legs = [p.near, ...(p.far === undefined ? [] : [p.far])];
	return Math.min(
		...legs.flatMap((l) => [l.heel.y, l.ball.y, l.toe.y, l.knee.y - FLESH.knee * H, l.ankle.y - 0.02 * H]),
		p.hip.y - FLESH.hip * H,
		p.shoulder.y - FLESH.shoulder * H,
		(p.elbow ?? p.shoulder).y - FLESH.elbow * H,
		(p.hand ?? p.shoulder).y - 0.01
	);
}

const up = (q: Point, by: number): Point => point(q.x, q.y + by);
const lift = (l: PosedLeg, by: number): PosedLeg => ({
	knee: up(l.knee, by),
	ankle: up(l.ankle, by),
	heel: up(l.heel, by),
	ball: up(l.ball, by),
	toe: up(l.toe, by)
});

function lifted(p: PosedPoints, by: number): PosedPoints {
	return {
		...p,
		near: lift(p.near, by),
		...(p.far === undefined ? {} : { far: lift(p.far, by) }),
		hip: up(p.hip, by),
		...(p.farHip === undefined ? {} : { farHip: up(p.farHip, by) }),
		shoulder: up(p.shoulder, by),
		...(p.elbow === undefined ? {} : { elbow: up(p.elbow, by) }),
		...(p.hand === undefined ? {} : { hand: up(p.hand, by) })
	};
}

const legsOf = (pose: KeyPose): readonly PoseLeg[] => [
	pose.near,
	...(pose.far === undefined ? [] : [pose.far])
];
/** Bends smaller than these ask nothing. */
const LEAST_BEND = 10;

interface Posed {
	readonly from: KeyPose;
	readonly to: KeyPose;
	readonly asks?: Readonly<Partial<Record<Axis, number>>>;
}
const known = new WeakMap<Posed, Readonly<Partial<Record<Axis, number>>>>();

/** What two poses ask, degrees: knee and fold read off them, the rest as written beside them. */
export function asksOfPoses(posed: Posed): Readonly<Partial<Record<Axis, number>>> {
	const found = known.get(posed);
	if (found !== undefined) return found;
	const seen = [posed.from, posed.to].filter((p) => p.view !== 'front');
	const knee = Math.max(0, ...seen.flatMap((p) => legsOf(p).map((l) => l.thigh - l.shank)));
	const folds = seen.flatMap((p) => legsOf(p).map((l) => l.thigh + p.trunk));
	const fold = Math.max(0, ...folds);
	const back = -Math.min(0, ...folds);
	const asks = {
		...(knee > LEAST_BEND ? { kneeFlexion: knee } : {}),
		...(fold > LEAST_BEND ? { thighTrunkFlexion: fold } : {}),
		...(back > LEAST_BEND / 2 ? { hipExtension: back } : {}),
		...posed.asks
	};
	known.set(posed, asks);
	return asks;
}

/** The least knee bend in either pose, of either leg; a front view says nothing of it, and counts as straight. */
export const leastKneeOfPoses = ({ from, to }: Posed): number =>
	Math.max(
		0,
		Math.min(
			...[from, to].flatMap((p) => (p.view === 'front' ? [0] : legsOf(p).map((l) => l.thigh - l.shank)))
		)
	);

/** Why a pose could not be held by a body; empty when it can. */
export function poseFaults(pose: KeyPose): string[] {
	const out: string[] = [];
	const angles = [
		pose.trunk,
		...legsOf(pose).flatMap((l) => [l.thigh, l.shank, l.foot ?? 0]),
		pose.arm ?? 0,
		pose.forearm ?? 0
	];
	if (!angles.every((a) => Number.isFinite(a) && Math.abs(a) <= 360))
		out.push('a limb of the figure has no direction; give degrees from straight down');
	if (pose.view === 'front') return out;
	for (const l of legsOf(pose)) {
		const knee = l.thigh - l.shank;
		if (knee < -10)
			out.push(`the figure's knee bends ${Math.round(-knee)}° the wrong way; turn the shank back`);
		if (knee > 165) out.push(`the figure's knee bends ${Math.round(knee)}°, more than a knee can`);
		const fold = l.thigh + pose.trunk;
		if (fold < -45)
			out.push(`the figure's hip is ${Math.round(-fold)}° behind the trunk, more than a hip gives`);
		if (fold > 165) out.push(`the figure folds ${Math.round(fold)}°, more than a body can`);
	}
	return out;
}

/** Halfway pose, for a picture that moves: directions and heights in between. */
export function betweenPoses(a: KeyPose, b: KeyPose, t: number): KeyPose {
	const mix = (x: number, y: number): number => x + (y - x) * t;
	const leg = (x: PoseLeg, y: PoseLeg): PoseLeg => ({
		thigh: mix(x.thigh, y.thigh),
		shank: mix(x.shank, y.shank),
		foot: mix(x.foot ?? x.shank + 90, y.foot ?? y.shank + 90),
		...(x.short === undefined && y.short === undefined
			? {}
			: {
					short: [
						mix(x.short?.[0] ?? 1, y.short?.[0] ?? 1),
						mix(x.short?.[1] ?? 1, y.short?.[1] ?? 1)
					] as const
				})
	});
	const armOf = (p: KeyPose): number => p.arm ?? -p.trunk * 0.2;
	const hasFar = a.far !== undefined || b.far !== undefined;
	return {
		...a,
		...(a.props === undefined && b.props === undefined
			? {}
			: { props: [...new Set([...(a.props ?? []), ...(b.props ?? [])])] }),
		trunk: mix(a.trunk, b.trunk),
		near: leg(a.near, b.near),
		...(hasFar ? { far: leg(a.far ?? a.near, b.far ?? b.near) } : {}),
		arm: mix(armOf(a), armOf(b)),
		forearm: mix(a.forearm ?? armOf(a) + 10, b.forearm ?? armOf(b) + 10),
		head: mix(a.head ?? 0, b.head ?? 0),
		...(a.seatCm === undefined || b.seatCm === undefined ? {} : { seatCm: mix(a.seatCm, b.seatCm) })
	};
}
