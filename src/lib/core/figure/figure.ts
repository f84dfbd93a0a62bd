/**
 * The drawn figure of a solved posture: the client's own proportions, furniture to scale, as path text with roles. A page gives
 * the roles their colour; nothing here knows a colour, a page or a unit other than the centimetre.
 *
 * Faces right. The working leg is `near`; a free or far leg is `far`. Joints carry their axis, so that the limiting one can be
 * ringed.
 */
import { point, type Point } from '../base/vector.ts';
import { PROPORTION, type Body } from '../body/body.ts';
import type { Axis } from '../body/axis.ts';
import { FREE_LEG_FORWARD } from '../posture/constants.ts';
import { RAD } from '../base/angle.ts';
import type { Posture } from '../posture/posture.ts';
import type { Arms, LoadPlace, Stance } from '../posture/problem.ts';
import { circlePath, limbPath, polygonPath, screen } from './limb.ts';
import { middleJoint } from './two-link.ts';

export type Role = 'far' | 'leg' | 'trunk' | 'skin' | 'shoe' | 'furniture' | 'wedge' | 'load' | 'support';

export interface Shape {
	readonly id: string;
	readonly role: Role;
	readonly d: string;
}

export interface Joint {
	readonly id: 'hip' | 'knee' | 'ankle' | 'shoulder';
	readonly axis?: Axis;
	readonly x: number;
	readonly y: number;
	readonly ringed: boolean;
}

export interface Figure {
	/** min x, min y, width, height in cm, floor at y = 0. */
	readonly viewBox: readonly [number, number, number, number];
	/** Top of the head, cm (negative is up): where a tight frame may be cut. */
	readonly top: number;
	readonly shapes: readonly Shape[];
	readonly joints: readonly Joint[];
	/** Heights to write beside the furniture. */
	readonly labels: readonly { readonly x: number; readonly y: number; readonly cm: number; readonly of: 'seat' | 'wedge' }[];
}

export interface Scene {
	readonly body: Body;
	readonly posture: Posture;
	readonly arms: Arms;
	readonly stance: Stance;
	/** Draws the seat under the hip. */
	readonly seatCm?: number;
	readonly load?: { readonly kg: number; readonly at: LoadPlace };
	/** Hands on a counter in front. */
	readonly held?: boolean;
	readonly limiting?: readonly Axis[];
}

const JOINT_AXIS: Readonly<Record<'hip' | 'knee' | 'ankle', Axis>> = {
	hip: 'thighTrunkFlexion',
	knee: 'kneeFlexion',
	ankle: 'weightBearingDorsiflexion'
};

/** Draws a scene. */
export function figureOf(scene: Scene): Figure {
	const { body, posture } = scene;
	const H = body.heightM;
	const r = (share: number): number => 100 * share * H;
	const P = posture.points;
	const hand = handOf(scene);
	const elbow = middleJoint(P.shoulder, hand, PROPORTION.upperArm * H, PROPORTION.forearm * H, -1);
	const lean = Math.atan2(P.shoulder.x - P.hip.x, P.shoulder.y - P.hip.y);
	const gaze = 0.55 * lean;
	const head = point(P.shoulder.x + 0.118 * H * Math.sin(gaze), P.shoulder.y + 0.118 * H * Math.cos(gaze));
	const at = {
		hip: screen(P.hip),
		knee: screen(P.knee),
		ankle: screen(P.ankle),
		shoulder: screen(P.shoulder),
		head: screen(head),
		hand: screen(hand),
		elbow: screen(elbow)
	};
	const shapes: Shape[] = [
		...furniture(scene),
		...farLeg(scene),
		{ id: 'neck', role: 'skin', d: limbPath(at.shoulder, at.head, r(0.026), r(0.024)) },
		{ id: 'head', role: 'skin', d: headPath(at.head, gaze, r(0.05), r(0.062)) },
		{ id: 'trunk', role: 'trunk', d: limbPath(at.hip, at.shoulder, r(0.054), r(0.048)) },
		{ id: 'shoe', role: 'shoe', d: shoePath(posture) },
		{ id: 'shank', role: 'leg', d: limbPath(at.knee, at.ankle, r(0.031), r(0.02)) },
		{ id: 'thigh', role: 'leg', d: limbPath(at.hip, at.knee, r(0.05), r(0.032)) },
		...loadShape(scene),
		{ id: 'upper-arm', role: 'trunk', d: limbPath(at.shoulder, at.elbow, r(0.025), r(0.02)) },
		{ id: 'forearm', role: 'skin', d: limbPath(at.elbow, at.hand, r(0.018), r(0.015)) }
	];
	const joints: Joint[] = (['hip', 'knee', 'ankle'] as const).map((id) => ({
		id,
		axis: JOINT_AXIS[id],
		x: at[id].x,
		y: at[id].y,
		ringed: scene.limiting?.includes(JOINT_AXIS[id]) ?? false
	}));
	joints.push({ id: 'shoulder', x: at.shoulder.x, y: at.shoulder.y, ringed: false });
	return { viewBox: frame(body), top: at.head.y - r(0.07), shapes, joints, labels: labelsOf(scene) };
}

/** One frame for every pose of a body, so that figures side by side share a scale. */
const frame = (body: Body): Figure['viewBox'] => {
	const H = 100 * body.heightM;
	return [-0.48 * H, -1.04 * H, 0.96 * H, 1.08 * H];
};

function handOf({ body, posture, arms, load, held }: Scene): Point {
	const { shoulder, hip } = posture.points;
	const H = body.heightM;
	if (held === true) return point(shoulder.x + 0.28 * H, Math.min(shoulder.y - 0.02 * H, 0.56 * H));
	if (posture.points.load !== undefined && load?.at !== 'sides' && load?.at !== 'hands') return posture.points.load;
	const lean = Math.atan2(shoulder.x - hip.x, shoulder.y - hip.y);
	const along = (u: number, v: number): Point =>
		point(hip.x + u * Math.sin(lean) + v * Math.cos(lean), hip.y + u * Math.cos(lean) - v * Math.sin(lean));
	if (arms === 'chest') return along(0.72 * body.trunkM, 0.085 * H);
	if (arms === 'forward') return point(shoulder.x + 0.33 * H, shoulder.y);
	return point(shoulder.x + 0.01 * H, shoulder.y - 0.325 * H);
}

const shoePath = (posture: Posture): string => {
	const { heel, toe, ankle, ball } = posture.points;
	const lift = (p: Point, dx: number, dy: number): Point => screen(point(p.x + dx, p.y + dy));
	return polygonPath([
		lift(heel, -0.012, 0.002),
		lift(ankle, -0.045, 0.028),
		lift(ankle, 0.03, 0.03),
		lift(ball, 0.01, 0.048),
		lift(toe, 0, 0.028),
		lift(toe, 0.008, 0),
		lift(ball, 0, 0)
	]);
};

function headPath(c: Point, tilt: number, rx: number, ry: number): string {
	const deg = (tilt * 180) / Math.PI;
	const f = (v: number): string => v.toFixed(2);
	const top = { x: c.x + ry * Math.sin(tilt), y: c.y - ry * Math.cos(tilt) };
	const low = { x: c.x - ry * Math.sin(tilt), y: c.y + ry * Math.cos(tilt) };
	return `M${f(top.x)} ${f(top.y)}A${f(rx)} ${f(ry)} ${f(deg)} 1 1 ${f(low.x)} ${f(low.y)}A${f(rx)} ${f(ry)} ${f(deg)} 1 1 ${f(top.x)} ${f(top.y)}Z`;
}

function farLeg({ body, posture, stance }: Scene): Shape[] {
	if (stance === 'both') return [];
	const { hip, ankle, toe } = posture.points;
	const H = body.heightM;
	const r = (share: number): number => 100 * share * H;
	const far =
		stance === 'one'
			? point(
					hip.x + (body.thighM + body.shankM) * Math.sin((FREE_LEG_FORWARD + 35) * RAD),
					hip.y - (body.thighM + body.shankM) * Math.cos((FREE_LEG_FORWARD + 35) * RAD)
				)
			: point(toe.x + 0.05 * H, ankle.y);
	const foot = stance === 'one' ? point(far.x, Math.max(far.y, 0.06 * H)) : far;
	const knee = middleJoint(hip, foot, body.thighM, body.shankM, 1);
	const [h, k, a] = [screen(hip), screen(knee), screen(foot)];
	const shoe = polygonPath([
		{ x: a.x - r(0.03), y: a.y + r(0.03) },
		{ x: a.x - r(0.02), y: a.y - r(0.02) },
		{ x: a.x + r(0.02), y: a.y - r(0.02) },
		{ x: a.x + r(0.1), y: a.y + r(0.018) },
		{ x: a.x + r(0.1), y: a.y + r(0.034) }
	]);
	return [
		{ id: 'far-shoe', role: 'far', d: shoe },
		{ id: 'far-shank', role: 'far', d: limbPath(k, a, r(0.03), r(0.019)) },
		{ id: 'far-thigh', role: 'far', d: limbPath(h, k, r(0.048), r(0.031)) }
	];
}

function furniture({ body, posture, seatCm, held }: Scene): Shape[] {
	const out: Shape[] = [];
	const rect = (x: number, y: number, w: number, h: number): string =>
		polygonPath([
			{ x, y },
			{ x: x + w, y },
			{ x: x + w, y: y + h },
			{ x, y: y + h }
		]);
	if (seatCm !== undefined && seatCm > 0) {
		const right = 100 * posture.points.hip.x + 11;
		const left = right - 42;
		out.push({ id: 'seat', role: 'furniture', d: rect(left, -seatCm, 42, 2.6) });
		out.push({ id: 'seat-leg-back', role: 'furniture', d: rect(left + 2, -seatCm + 2.6, 2.2, seatCm - 2.6) });
		out.push({ id: 'seat-leg-front', role: 'furniture', d: rect(right - 6, -seatCm + 2.6, 2.2, seatCm - 2.6) });
	}
	if (posture.heelWedgeCm > 0.1) {
		const { heel, ball } = posture.points;
		const [a, b] = [screen(heel), screen(ball)];
		out.push({ id: 'wedge', role: 'wedge', d: polygonPath([{ x: a.x - 1, y: a.y }, b, { x: a.x - 1, y: 0 }]) });
	}
	if (held === true) {
		const x = 100 * (posture.points.shoulder.x + 0.28 * body.heightM);
		const y = -100 * Math.min(posture.points.shoulder.y - 0.02 * body.heightM, 0.56 * body.heightM);
		out.push({ id: 'counter', role: 'support', d: rect(x - 2, y + 1.5, 12, 2.4) });
		out.push({ id: 'counter-leg', role: 'support', d: rect(x + 6, y + 3.9, 2.2, -y - 3.9) });
	}
	return out;
}

function loadShape({ posture, load }: Scene): Shape[] {
	const at = posture.points.load;
	if (at === undefined || load === undefined) return [];
	const size = 3.2 + Math.cbrt(load.kg) * 1.6;
	const centre =
		load.at === 'sides' || load.at === 'hands' ? point(at.x, at.y - 0.34) : at;
	return [{ id: 'load', role: 'load', d: circlePath(screen(centre), size) }];
}

function labelsOf({ posture, seatCm }: Scene): Figure['labels'] {
	const out: { x: number; y: number; cm: number; of: 'seat' | 'wedge' }[] = [];
	if (seatCm !== undefined && seatCm > 0)
		out.push({ x: 100 * posture.points.hip.x - 22, y: -seatCm - 3, cm: seatCm, of: 'seat' });
	if (posture.heelWedgeCm > 0.1) out.push({ x: -14, y: -2, cm: posture.heelWedgeCm, of: 'wedge' });
	return out;
}
