/** What a frame is made of before it is drawn, and what the frames of several movements share: arms, loads, something firm to hold. */
import { RAD } from '../../base/angle.ts';
import { point, type Point } from '../../base/vector.ts';
import type { Body } from '../../body/body.ts';
import type { Step } from '../../exercise/family.ts';
import { type PosedPoints } from '../../figure/key-pose.ts';
import { weightRadius, type Prop } from '../../figure/prop.ts';
import type { Label } from '../../figure/shape.ts';
import { middleJoint } from '../../figure/two-link.ts';
import { onTrunk } from '../../posture/leg.ts';
import type { LoadPlace } from '../../posture/problem.ts';
import type { Stick } from '../../posture/stick.ts';
import { loadPlace } from '../../posture/upper-body.ts';

export const mix = (a: number, b: number, t: number): number => a + (b - a) * t;
/** Upright enough to start from, degrees of thigh. */
export const UPRIGHT = 8;

/** What a frame is made of before it is drawn. */
export interface Frame {
	readonly points: PosedPoints;
	readonly props: readonly Prop[];
	readonly labels: readonly Label[];
}

/** A stick with head and hands, as points. */
export function withArms(body: Body, s: Stick, hand?: Point): PosedPoints {
	const lean = Math.atan2(s.shoulder.x - s.hip.x, s.shoulder.y - s.hip.y);
	const H = body.heightM;
	const h = s.hand ?? hand ?? point(s.shoulder.x + 0.01 * H, s.shoulder.y - 0.325 * H);
	return {
		near: s.near,
		...(s.far === undefined ? {} : { far: s.far }),
		hip: s.hip,
		shoulder: s.shoulder,
		elbow: middleJoint(s.shoulder, h, 0.186 * H, 0.2 * H, -1),
		hand: h,
		headDeg: (0.7 * lean) / RAD
	};
}

export const block = (x0: number, x1: number, y1: number, y0 = 0): Prop => ({
	kind: 'block',
	role: 'furniture',
	x0,
	x1,
	y0,
	y1
});
export const label = (x: number, y: number, cm: number, of: Label['of']): Label => ({
	x: 100 * x,
	y: -100 * y - 3,
	cm,
	of
});

/** The load where it is carried, drawn on the body's points. */
export function carried(
	body: Body,
	points: PosedPoints,
	load: { readonly kg: number; readonly at: LoadPlace } | undefined
): readonly Prop[] {
	if (load === undefined || load.at === 'none' || load.kg <= 0) return [];
	const r = weightRadius(load.kg);
	if (load.at === 'sides' || load.at === 'hands')
		return [{ kind: 'disc', role: 'load', at: points.hand ?? points.shoulder, r }];
	const [u, v] = loadPlace(load.at);
	const lean = Math.atan2(points.shoulder.x - points.hip.x, points.shoulder.y - points.hip.y);
	return [
		{ kind: 'disc', role: 'load', at: onTrunk(points.hip, lean, u * body.trunkM, v * body.heightM), r }
	];
}

/** The hands are where the load is held in front. */
export function handOnLoad(
	body: Body,
	s: Stick,
	load: { readonly kg: number; readonly at: LoadPlace } | undefined
): Point | undefined {
	if (load === undefined || load.at === 'none' || load.at === 'sides' || load.at === 'hands')
		return undefined;
	const [u, v] = loadPlace(load.at);
	return onTrunk(
		s.hip,
		Math.atan2(s.shoulder.x - s.hip.x, s.shoulder.y - s.hip.y),
		u * body.trunkM,
		v * body.heightM
	);
}

/** A hand on something firm in front. */
export function heldBy(
	body: Body,
	step: Step,
	s: Stick
): { readonly hand?: Point; readonly props: readonly Prop[] } {
	if (step.dials.support === undefined || step.dials.support === 'none') return { props: [] };
	const H = body.heightM;
	const floor = Math.min(s.near.heel.y, s.far?.ball.y ?? s.near.heel.y);
	const hand = point(s.shoulder.x + 0.24 * H, Math.min(s.shoulder.y - 0.08 * H, floor + 0.6 * H));
	return {
		hand,
		props: [
			{
				kind: 'rod',
				role: 'support',
				a: point(hand.x + 0.015, floor),
				b: point(hand.x + 0.015, hand.y + 0.02),
				r: 0.016
			}
		]
	};
}

/** The leg that waits beside a press: bent, its foot on the floor. */
export function waitingLeg(body: Body, hip: Point): Stick['near'] {
	const ankle = point(hip.x + 0.85 * body.thighM, body.ankleHeightM);
	const heel = point(ankle.x - 0.25 * body.footM, 0);
	return {
		heel,
		ball: point(heel.x + 0.7 * body.footM, 0),
		toe: point(heel.x + body.footM, 0),
		ankle,
		knee: middleJoint(hip, ankle, body.thighM, body.shankM, 1)
	};
}

/** A pose between two sticks: feet, hips and shoulders go straight, knees follow by their lengths. */
export function betweenSticks(body: Body, a: Stick, b: Stick, t: number): Stick {
	const at = (p: Point, q: Point): Point => point(mix(p.x, q.x, t), mix(p.y, q.y, t));
	const hip = at(a.hip, b.hip);
	const leg = (p: Stick['near'], q: Stick['near']): Stick['near'] => {
		const ankle = at(p.ankle, q.ankle);
		return {
			heel: at(p.heel, q.heel),
			ball: at(p.ball, q.ball),
			toe: at(p.toe, q.toe),
			ankle,
			knee: middleJoint(hip, ankle, body.thighM, body.shankM, 1)
		};
	};
	const [fa, fb] = [a.far ?? a.near, b.far ?? b.near];
	const lean = mix(
		Math.atan2(a.shoulder.x - a.hip.x, a.shoulder.y - a.hip.y),
		Math.atan2(b.shoulder.x - b.hip.x, b.shoulder.y - b.hip.y),
		t
	);
	return {
		near: leg(a.near, b.near),
		far: leg(fa, fb),
		hip,
		shoulder: point(hip.x + body.trunkM * Math.sin(lean), hip.y + body.trunkM * Math.cos(lean))
	};
}

/** The frame at a moment, 0 easy to 1 hard. */
export type FrameAt = (t: number) => Frame;
