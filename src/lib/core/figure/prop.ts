/** Furniture and equipment as simple solids, metres, y up: blocks, discs and rods; and those that go with a key pose. */
import { between, point, type Point } from '../base/vector.ts';
import type { Body } from '../body/body.ts';
import type { PosedPoints, PoseProp } from './key-pose.ts';
import { circlePath, limbPath, polygonPath, screen } from './limb.ts';
import type { Role, Shape } from './shape.ts';

export type Prop =
	| {
			readonly kind: 'block';
			readonly role: Role;
			readonly x0: number;
			readonly x1: number;
			readonly y0: number;
			readonly y1: number;
	  }
	| {
			readonly kind: 'disc';
			readonly role: Role;
			readonly at: Point;
			readonly r: number;
			/** Drawn over the body. */ readonly over?: true;
	  }
	| { readonly kind: 'rod'; readonly role: Role; readonly a: Point; readonly b: Point; readonly r: number }
	| { readonly kind: 'wedge'; readonly role: Role; readonly heel: Point; readonly ball: Point };

export function propShape(prop: Prop, id: string): Shape {
	switch (prop.kind) {
		case 'block':
			return {
				id,
				role: prop.role,
				d: polygonPath([
					screen(point(prop.x0, prop.y0)),
					screen(point(prop.x1, prop.y0)),
					screen(point(prop.x1, prop.y1)),
					screen(point(prop.x0, prop.y1))
				])
			};
		case 'disc':
			return { id, role: prop.role, d: circlePath(screen(prop.at), 100 * prop.r) };
		case 'rod':
			return { id, role: prop.role, d: limbPath(screen(prop.a), screen(prop.b), 100 * prop.r, 100 * prop.r) };
		case 'wedge': {
			const [a, b] = [screen(prop.heel), screen(prop.ball)];
			return { id, role: prop.role, d: polygonPath([{ x: a.x - 1, y: a.y }, b, { x: a.x - 1, y: 0 }]) };
		}
	}
}

/** A chair or stool: a seat on two legs. */
export const chair = (x0: number, x1: number, top: number): readonly Prop[] => [
	{ kind: 'block', role: 'furniture', x0, x1, y0: top - 0.026, y1: top },
	{ kind: 'block', role: 'furniture', x0: x0 + 0.02, x1: x0 + 0.042, y0: 0, y1: top - 0.026 },
	{ kind: 'block', role: 'furniture', x0: x1 - 0.06, x1: x1 - 0.038, y0: 0, y1: top - 0.026 }
];

const WALL = 0.035;

/** The solids of a pose's props, placed on its points. */
export function propsOfPose(body: Body, p: PosedPoints, props: readonly PoseProp[], kg = 4): readonly Prop[] {
	return props.flatMap((id) => propOf(id, body, p, kg));
}

export const weightRadius = (kg: number): number => 0.032 + Math.cbrt(Math.max(0, kg)) * 0.016;

function propOf(id: PoseProp, body: Body, p: PosedPoints, kg: number): readonly Prop[] {
	const H = body.heightM;
	const hand = p.hand ?? p.shoulder;
	const far = p.far ?? p.near;
	const xs = [p.hip.x, p.shoulder.x, p.near.knee.x, p.near.heel.x, p.near.toe.x, far.toe.x, far.heel.x];
	const band = (a: Point, b: Point): readonly Prop[] => [
		{
			kind: 'rod',
			role: 'band',
			a,
			b: p.farHip === undefined ? point(a.x + 0.004, a.y) : b,
			r: p.farHip === undefined ? 0.045 : 0.014
		}
	];
	const under = (at: Point, half: number, thick: number, below: number): Prop => ({
		kind: 'block',
		role: 'soft',
		x0: at.x - half,
		x1: at.x + half,
		y0: at.y - below - thick,
		y1: at.y - below
	});
	switch (id) {
		case 'seat':
			return chair(p.hip.x - 0.31, p.hip.x + 0.11, p.hip.y - 0.047 * H);
		case 'machine':
			return [
				...chair(p.hip.x - 0.2, p.hip.x + 0.24, p.hip.y - 0.047 * H),
				{
					kind: 'rod',
					role: 'furniture',
					a: point(p.hip.x - 0.13, p.hip.y),
					b: point(p.shoulder.x - 0.12, p.shoulder.y),
					r: 0.03
				}
			];
		case 'bench':
			return [
				{
					kind: 'block',
					role: 'furniture',
					x0: Math.min(p.hip.x, p.shoulder.x) - 0.1,
					x1: Math.max(p.hip.x, p.near.knee.x) + 0.04,
					y0: 0,
					y1: Math.min(p.hip.y, p.shoulder.y) - 0.05 * H
				}
			];
		case 'wall-behind':
			return [
				{
					kind: 'block',
					role: 'support',
					x0: Math.min(p.hip.x - 0.06 * H, p.shoulder.x - 0.055 * H) - WALL,
					x1: Math.min(p.hip.x - 0.06 * H, p.shoulder.x - 0.055 * H),
					y0: 0,
					y1: H
				}
			];
		case 'wall-front':
			return [
				{
					kind: 'block',
					role: 'support',
					x0: Math.max(...xs, hand.x) + 0.01,
					x1: Math.max(...xs, hand.x) + 0.01 + WALL,
					y0: 0,
					y1: H
				}
			];
		case 'counter':
			return [
				{
					kind: 'block',
					role: 'support',
					x0: hand.x - 0.03,
					x1: hand.x + 0.16,
					y0: hand.y - 0.045,
					y1: hand.y - 0.015
				},
				{ kind: 'block', role: 'support', x0: hand.x + 0.1, x1: hand.x + 0.125, y0: 0, y1: hand.y - 0.045 }
			];
		case 'step-near':
			return [
				{
					kind: 'block',
					role: 'furniture',
					x0: p.near.heel.x - 0.02,
					x1: p.near.toe.x + 0.1,
					y0: 0,
					y1: Math.min(p.near.heel.y, p.near.ball.y)
				}
			];
		case 'step-far':
			return [
				{
					kind: 'block',
					role: 'furniture',
					x0: Math.min(far.heel.x, far.toe.x, far.knee.x) - 0.03,
					x1: Math.max(far.toe.x, far.heel.x) + 0.05,
					y0: 0,
					y1: Math.max(0.04, Math.min(far.heel.y, far.ball.y, far.knee.y - 0.03 * H))
				}
			];
		case 'pillow-knees':
			return [{ kind: 'disc', role: 'soft', at: between(p.near.knee, far.knee), r: 0.05, over: true }];
		case 'pillow-pelvis':
			return [under(p.hip, 0.15, 0.06, 0.05 * H)];
		case 'pillow-back':
			return [
				{
					kind: 'rod',
					role: 'soft',
					a: point(p.hip.x - 0.06 * H, p.hip.y + 0.05),
					b: point(p.hip.x - 0.06 * H, p.hip.y + 0.22),
					r: 0.045
				}
			];
		case 'bolster-heels':
			return [
				{
					kind: 'block',
					role: 'soft',
					x0: p.near.heel.x - 0.13,
					x1: p.near.heel.x + 0.13,
					y0: 0,
					y1: Math.max(0.03, p.near.heel.y)
				}
			];
		case 'bolster-knees':
			return [
				{ kind: 'disc', role: 'soft', at: point(p.near.knee.x, p.near.knee.y - 0.03 * H - 0.08), r: 0.08 }
			];
		case 'band-knees':
			return band(between(p.hip, p.near.knee, 0.82), between(p.farHip ?? p.hip, far.knee, 0.82));
		case 'band-shins':
			return band(between(p.near.knee, p.near.ankle, 0.55), between(far.knee, far.ankle, 0.55));
		case 'band-ankles':
			return band(between(p.near.knee, p.near.ankle, 0.92), between(far.knee, far.ankle, 0.92));
		case 'cuff':
			return [
				{
					kind: 'rod',
					role: 'load',
					a: between(p.near.knee, p.near.ankle, 0.88),
					b: between(p.near.knee, p.near.ankle, 0.96),
					r: 0.042
				}
			];
		case 'ball-hands':
			return [{ kind: 'disc', role: 'soft', at: point(hand.x + 0.05, hand.y), r: 0.1 }];
		case 'weight-hands':
			return [{ kind: 'disc', role: 'load', at: point(hand.x, hand.y), r: weightRadius(kg) }];
		case 'weight-hips':
			return [
				{
					kind: 'disc',
					role: 'load',
					at: point(p.hip.x, p.hip.y + 0.05 * H + weightRadius(kg)),
					r: weightRadius(kg)
				}
			];
		case 'weight-shoulders':
			return [
				{
					kind: 'disc',
					role: 'load',
					at: point(p.shoulder.x - 0.03, p.shoulder.y + 0.04),
					r: weightRadius(kg)
				}
			];
		case 'stick':
			return [
				{
					kind: 'rod',
					role: 'support',
					a: point(hand.x + 0.01, 0),
					b: point(hand.x + 0.01, Math.max(hand.y + 0.25, 1.1)),
					r: 0.012
				}
			];
		case 'roller-far':
			return [
				{
					kind: 'disc',
					role: 'soft',
					at: point(between(p.hip, far.knee).x, between(p.hip, far.knee).y - 0.045 * H - 0.07),
					r: 0.07
				}
			];
		case 'roller-near':
			return [
				{
					kind: 'disc',
					role: 'soft',
					at: point(between(p.hip, p.near.knee).x, between(p.hip, p.near.knee).y - 0.045 * H - 0.07),
					r: 0.07
				}
			];
		case 'blocks-hands':
			return [
				{
					kind: 'block',
					role: 'furniture',
					x0: hand.x - 0.07,
					x1: hand.x + 0.07,
					y0: 0,
					y1: Math.max(0.04, hand.y - 0.02)
				}
			];
	}
}
