/**
 * The body drawn from its points: rounded limbs in one style, the working side solid, the other lighter. From the side, or from the
 * front where both hips are given. Path text in cm, y down; roles get their colour on the page.
 */
import { point, type Point } from '../base/vector.ts';
import { PROPORTION, type Body } from '../body/body.ts';
import { RAD } from '../base/angle.ts';
import type { PosedLeg, PosedPoints } from './key-pose.ts';
import { limbPath, polygonPath, screen } from './limb.ts';
import { middleJoint } from './two-link.ts';
import type { Shape } from './shape.ts';

/** The outline of a foot in its shoe, from the directions of its rear and fore part. */
export function shoePath({
	heel,
	ankle,
	ball,
	toe
}: Pick<PosedLeg, 'heel' | 'ankle' | 'ball' | 'toe'>): string {
	const along = (a: Point, b: Point): Point => {
		const d = Math.hypot(b.x - a.x, b.y - a.y) || 1;
		return point((b.x - a.x) / d, (b.y - a.y) / d);
	};
	const rear = along(heel, ball);
	const fore = along(ball, toe);
	// Upwards is the side of the sole on which the ankle lies.
	const side = rear.x * (ankle.y - heel.y) - rear.y * (ankle.x - heel.x) >= 0 ? 1 : -1;
	const at = (p: Point, u: Point, a: number, b: number): Point =>
		screen(point(p.x + a * u.x - side * b * u.y, p.y + a * u.y + side * b * u.x));
	return polygonPath([
		at(heel, rear, -0.012, 0.002),
		at(ankle, rear, -0.045, 0.028),
		at(ankle, rear, 0.03, 0.03),
		at(ball, rear, 0.01, 0.048),
		at(toe, fore, 0, 0.028),
		at(toe, fore, 0.008, 0),
		at(ball, fore, 0, 0)
	]);
}

export function headPath(c: Point, tilt: number, rx: number, ry: number): string {
	const deg = tilt / RAD;
	const f = (v: number): string => v.toFixed(2);
	const top = { x: c.x + ry * Math.sin(tilt), y: c.y - ry * Math.cos(tilt) };
	const low = { x: c.x - ry * Math.sin(tilt), y: c.y + ry * Math.cos(tilt) };
	return `M${f(top.x)} ${f(top.y)}A${f(rx)} ${f(ry)} ${f(deg)} 1 1 ${f(low.x)} ${f(low.y)}A${f(rx)} ${f(ry)} ${f(deg)} 1 1 ${f(top.x)} ${f(top.y)}Z`;
}

const HEAD_ABOVE = 0.118;
/** Shoulders from the midline in the front view, share of stature. */
const HALF_SHOULDER = 0.085;

export interface BodyShapes {
	readonly behind: readonly Shape[];
	readonly middle: readonly Shape[];
	/** Arms, above whatever is held. */
	readonly front: readonly Shape[];
	readonly headTop: Point;
}

export function bodyShapes(body: Body, p: PosedPoints): BodyShapes {
	const H = body.heightM;
	const r = (share: number): number => 100 * share * H;
	const front = p.farHip !== undefined;
	const leg = (l: PosedLeg, hip: Point, far: boolean): Shape[] => {
		const id = far ? 'far-' : '';
		const [k, a] = [screen(l.knee), screen(l.ankle)];
		const solid = far && !front;
		return [
			{ id: `${id}shoe`, role: solid ? 'far' : 'shoe', d: shoePath(l) },
			{ id: `${id}shank`, role: solid ? 'far' : 'leg', d: limbPath(k, a, r(0.031), r(0.02)) },
			{ id: `${id}thigh`, role: solid ? 'far' : 'leg', d: limbPath(screen(hip), k, r(0.05), r(0.032)) }
		];
	};
	const tilt = p.headDeg * RAD;
	const head = point(
		p.shoulder.x + HEAD_ABOVE * H * Math.sin(tilt),
		p.shoulder.y + HEAD_ABOVE * H * Math.cos(tilt)
	);
	const middleHip =
		p.farHip === undefined ? p.hip : point((p.hip.x + p.farHip.x) / 2, (p.hip.y + p.farHip.y) / 2);
	const trunk: Shape[] = front
		? [{ id: 'trunk', role: 'trunk', d: limbPath(screen(middleHip), screen(p.shoulder), r(0.082), r(0.092)) }]
		: [{ id: 'trunk', role: 'trunk', d: limbPath(screen(p.hip), screen(p.shoulder), r(0.054), r(0.048)) }];
	return {
		behind: p.far === undefined ? [] : leg(p.far, p.farHip ?? p.hip, true),
		middle: [
			{ id: 'neck', role: 'skin', d: limbPath(screen(p.shoulder), screen(head), r(0.026), r(0.024)) },
			{ id: 'head', role: 'skin', d: headPath(screen(head), tilt, r(0.05), r(0.062)) },
			...trunk,
			...leg(p.near, p.hip, false)
		],
		front: arms(body, p, front),
		headTop: point(head.x, head.y + 0.07 * H)
	};
}

function arms(body: Body, p: PosedPoints, front: boolean): Shape[] {
	const H = body.heightM;
	const r = (share: number): number => 100 * share * H;
	const hand = p.hand ?? point(p.shoulder.x + 0.01 * H, p.shoulder.y - 0.325 * H);
	const elbow = p.elbow ?? middleJoint(p.shoulder, hand, PROPORTION.upperArm * H, PROPORTION.forearm * H, -1);
	const arm = (id: string, s: Point, e: Point, h: Point): Shape[] => [
		{ id: `${id}upper-arm`, role: 'trunk', d: limbPath(screen(s), screen(e), r(0.025), r(0.02)) },
		{ id: `${id}forearm`, role: 'skin', d: limbPath(screen(e), screen(h), r(0.018), r(0.015)) }
	];
	if (!front) return arm('', p.shoulder, elbow, hand);
	// Both arms, one the mirror of the other about the trunk's line.
	const middle =
		p.farHip === undefined ? p.hip : point((p.hip.x + p.farHip.x) / 2, (p.hip.y + p.farHip.y) / 2);
	const lean = Math.atan2(p.shoulder.x - middle.x, p.shoulder.y - middle.y);
	const out = (q: Point, d: number): Point => point(q.x + d * Math.cos(lean), q.y - d * Math.sin(lean));
	const mirror = (q: Point): Point => {
		const dx = q.x - p.shoulder.x;
		const dy = q.y - p.shoulder.y;
		const across = dx * Math.cos(lean) - dy * Math.sin(lean);
		return out(q, -2 * across);
	};
	const d = HALF_SHOULDER * H;
	return [
		...arm('far-', out(p.shoulder, -d), out(mirror(elbow), -d), out(mirror(hand), -d)),
		...arm('', out(p.shoulder, d), out(elbow, d), out(hand, d))
	];
}
