/**
 * The drawn figure of a solved posture: the client's own proportions, furniture to scale, as path text with roles. A page gives
 * the roles their colour; nothing here knows a colour, a page or a unit other than the centimetre.
 *
 * Faces right. The working leg is `near`; a free or far leg is `far`. Joints carry their axis, so that the limiting one can be
 * ringed. Squats and rises; other movements are drawn in `picture`.
 */
import { point, type Point } from '../base/vector.ts';
import { PROPORTION, type Body } from '../body/body.ts';
import type { Axis } from '../body/axis.ts';
import { FREE_LEG_FORWARD } from '../posture/constants.ts';
import { RAD } from '../base/angle.ts';
import type { Posture } from '../posture/posture.ts';
import type { Arms, LoadPlace, Stance } from '../posture/problem.ts';
import { bodyShapes } from './body-shapes.ts';
import type { PosedLeg, PosedPoints } from './key-pose.ts';
import { circlePath, polygonPath, screen } from './limb.ts';
import type { Figure, Joint, Label, Shape } from './shape.ts';
import { middleJoint } from './two-link.ts';

export interface Scene {
	readonly body: Body;
	readonly posture: Posture;
	readonly arms: Arms;
	readonly stance: Stance;
	/** Draws the seat under the hip, or where the hip will come down. */
	readonly seatCm?: number;
	readonly seatAtM?: number;
	/** The seat is drawn so much lower than it is, where whoever sits down hovers over it. */
	readonly seatBelowCm?: number;
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

/** The points of a scene: what is drawn, and what an animation goes between. */
export function pointsOfScene(scene: Scene): PosedPoints {
	const { body, posture } = scene;
	const P = posture.points;
	const hand = handOf(scene);
	const lean = Math.atan2(P.shoulder.x - P.hip.x, P.shoulder.y - P.hip.y);
	const far = farLeg(scene);
	return {
		near: { heel: P.heel, ball: P.ball, toe: P.toe, ankle: P.ankle, knee: P.knee },
		...(far === undefined ? {} : { far }),
		hip: P.hip,
		shoulder: P.shoulder,
		elbow: middleJoint(
			P.shoulder,
			hand,
			PROPORTION.upperArm * body.heightM,
			PROPORTION.forearm * body.heightM,
			-1
		),
		hand,
		headDeg: (0.55 * lean) / RAD
	};
}

/** Draws a scene. */
export function figureOf(scene: Scene): Figure {
	const { body } = scene;
	const points = pointsOfScene(scene);
	const drawn = bodyShapes(body, points);
	const at = { hip: screen(points.hip), knee: screen(points.near.knee), ankle: screen(points.near.ankle) };
	const joints: Joint[] = (['hip', 'knee', 'ankle'] as const).map((id) => ({
		id,
		axis: JOINT_AXIS[id],
		x: at[id].x,
		y: at[id].y,
		ringed: scene.limiting?.includes(JOINT_AXIS[id]) ?? false
	}));
	const shoulder = screen(points.shoulder);
	joints.push({ id: 'shoulder', x: shoulder.x, y: shoulder.y, ringed: false });
	return {
		viewBox: frame(body),
		top: screen(drawn.headTop).y,
		shapes: [...furniture(scene), ...drawn.behind, ...drawn.middle, ...loadShape(scene), ...drawn.front],
		joints,
		labels: labelsOf(scene)
	};
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
	if (posture.points.load !== undefined && load?.at !== 'sides' && load?.at !== 'hands')
		return posture.points.load;
	const lean = Math.atan2(shoulder.x - hip.x, shoulder.y - hip.y);
	const along = (u: number, v: number): Point =>
		point(hip.x + u * Math.sin(lean) + v * Math.cos(lean), hip.y + u * Math.cos(lean) - v * Math.sin(lean));
	if (arms === 'chest') return along(0.72 * body.trunkM, 0.085 * H);
	if (arms === 'forward') return point(shoulder.x + 0.33 * H, shoulder.y);
	return point(shoulder.x + 0.01 * H, shoulder.y - 0.325 * H);
}

/** The free or kickstand leg; left out where both legs do the same. */
function farLeg({ body, posture, stance }: Scene): PosedLeg | undefined {
	if (stance === 'both') return undefined;
	const { hip, ankle, toe } = posture.points;
	const H = body.heightM;
	const whole = body.thighM + body.shankM;
	const free = point(
		hip.x + whole * Math.sin((FREE_LEG_FORWARD + 35) * RAD),
		hip.y - whole * Math.cos((FREE_LEG_FORWARD + 35) * RAD)
	);
	const end = stance === 'one' ? point(free.x, Math.max(free.y, 0.06 * H)) : point(toe.x + 0.05 * H, ankle.y);
	const knee = middleJoint(hip, end, body.thighM, body.shankM, 1);
	const low = end.y - body.ankleHeightM;
	return {
		knee,
		ankle: end,
		heel: point(end.x - 0.03 * H, low),
		ball: point(end.x + 0.07 * H, low),
		toe: point(end.x + 0.11 * H, low)
	};
}

function furniture({ body, posture, seatCm, seatAtM, seatBelowCm = 0, held }: Scene): Shape[] {
	const out: Shape[] = [];
	const rect = (x: number, y: number, w: number, h: number): string =>
		polygonPath([
			{ x, y },
			{ x: x + w, y },
			{ x: x + w, y: y + h },
			{ x, y: y + h }
		]);
	if (seatCm !== undefined && seatCm > 0) {
		const right = 100 * (seatAtM ?? posture.points.hip.x) + 11;
		const left = right - 42;
		const top = seatCm - seatBelowCm;
		out.push({ id: 'seat', role: 'furniture', d: rect(left, -top, 42, 2.6) });
		out.push({ id: 'seat-leg-back', role: 'furniture', d: rect(left + 2, -top + 2.6, 2.2, top - 2.6) });
		out.push({ id: 'seat-leg-front', role: 'furniture', d: rect(right - 6, -top + 2.6, 2.2, top - 2.6) });
	}
	if (posture.heelWedgeCm > 0.1) {
		const { heel, ball } = posture.points;
		const [a, b] = [screen(heel), screen(ball)];
		out.push({
			id: 'wedge',
			role: 'wedge',
			d: polygonPath([{ x: a.x - 1, y: a.y }, b, { x: a.x - 1, y: 0 }])
		});
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
	const centre = load.at === 'sides' || load.at === 'hands' ? point(at.x, at.y - 0.34) : at;
	return [{ id: 'load', role: 'load', d: circlePath(screen(centre), size) }];
}

function labelsOf({ posture, seatCm, seatAtM }: Scene): readonly Label[] {
	const out: Label[] = [];
	if (seatCm !== undefined && seatCm > 0)
		out.push({ x: 100 * (seatAtM ?? posture.points.hip.x) - 22, y: -seatCm - 3, cm: seatCm, of: 'seat' });
	if (posture.heelWedgeCm > 0.1) out.push({ x: -14, y: -2, cm: posture.heelWedgeCm, of: 'wedge' });
	return out;
}
