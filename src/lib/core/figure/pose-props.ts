/** What goes with a key pose, placed on its points: seats, walls, pillows, bands, weights. One row a prop. */
import { between, point, type Point } from '../base/vector.ts';
import type { Body } from '../body/body.ts';
import type { PosedPoints, PoseProp } from './key-pose.ts';
import { chair, type Prop, weightRadius } from './prop.ts';

/** A pose's points as a prop needs them, metres. */
interface Placed {
	readonly p: PosedPoints;
	readonly far: PosedPoints['near'];
	readonly hand: Point;
	/** Stature. */
	readonly H: number;
	/** What is held, kg. */
	readonly kg: number;
}

const WALL = 0.035;

/** A band from one leg to the other; seen from the side, around the near one. */
const band = ({ p }: Placed, a: Point, b: Point): readonly Prop[] => [
	p.farHip === undefined
		? { kind: 'rod', role: 'band', a, b: point(a.x + 0.004, a.y), r: 0.045 }
		: { kind: 'rod', role: 'band', a, b, r: 0.014 }
];

const under = (at: Point, half: number, thick: number, below: number): Prop => ({
	kind: 'block',
	role: 'soft',
	x0: at.x - half,
	x1: at.x + half,
	y0: at.y - below - thick,
	y1: at.y - below
});

/** The foremost point of a pose. */
const foremost = ({ p, far, hand }: Placed): number =>
	Math.max(p.hip.x, p.shoulder.x, p.near.knee.x, p.near.heel.x, p.near.toe.x, far.toe.x, far.heel.x, hand.x);

const roller = (at: Point, H: number): readonly Prop[] => [
	{ kind: 'disc', role: 'soft', at: point(at.x, at.y - 0.045 * H - 0.07), r: 0.07 }
];

const PROPS: Readonly<Record<PoseProp, (at: Placed) => readonly Prop[]>> = {
	seat: ({ p, H }) => chair(p.hip.x - 0.31, p.hip.x + 0.11, p.hip.y - 0.047 * H),
	machine: ({ p, H }) => [
		...chair(p.hip.x - 0.2, p.hip.x + 0.24, p.hip.y - 0.047 * H),
		{
			kind: 'rod',
			role: 'furniture',
			a: point(p.hip.x - 0.13, p.hip.y),
			b: point(p.shoulder.x - 0.12, p.shoulder.y),
			r: 0.03
		}
	],
	bench: ({ p, H }) => [
		{
			kind: 'block',
			role: 'furniture',
			x0: Math.min(p.hip.x, p.shoulder.x) - 0.1,
			x1: Math.max(p.hip.x, p.near.knee.x) + 0.04,
			y0: 0,
			y1: Math.min(p.hip.y, p.shoulder.y) - 0.05 * H
		}
	],
	'wall-behind': ({ p, H }) => [
		{
			kind: 'block',
			role: 'support',
			x0: Math.min(p.hip.x - 0.06 * H, p.shoulder.x - 0.055 * H) - WALL,
			x1: Math.min(p.hip.x - 0.06 * H, p.shoulder.x - 0.055 * H),
			y0: 0,
			y1: H
		}
	],
	'wall-front': (at) => [
		{
			kind: 'block',
			role: 'support',
			x0: foremost(at) + 0.01,
			x1: foremost(at) + 0.01 + WALL,
			y0: 0,
			y1: at.H
		}
	],
	counter: ({ hand }) => [
		{
			kind: 'block',
			role: 'support',
			x0: hand.x - 0.03,
			x1: hand.x + 0.16,
			y0: hand.y - 0.045,
			y1: hand.y - 0.015
		},
		{ kind: 'block', role: 'support', x0: hand.x + 0.1, x1: hand.x + 0.125, y0: 0, y1: hand.y - 0.045 }
	],
	'step-near': ({ p }) => [
		{
			kind: 'block',
			role: 'furniture',
			x0: p.near.heel.x - 0.02,
			x1: p.near.toe.x + 0.1,
			y0: 0,
			y1: Math.min(p.near.heel.y, p.near.ball.y)
		}
	],
	'step-far': ({ H, far }) => [
		{
			kind: 'block',
			role: 'furniture',
			x0: Math.min(far.heel.x, far.toe.x, far.knee.x) - 0.03,
			x1: Math.max(far.toe.x, far.heel.x) + 0.05,
			y0: 0,
			y1: Math.max(0.04, Math.min(far.heel.y, far.ball.y, far.knee.y - 0.03 * H))
		}
	],
	'pillow-knees': ({ p, far }) => [
		{ kind: 'disc', role: 'soft', at: between(p.near.knee, far.knee), r: 0.05, over: true }
	],
	'pillow-pelvis': ({ p, H }) => [under(p.hip, 0.15, 0.06, 0.05 * H)],
	'pillow-back': ({ p, H }) => [
		{
			kind: 'rod',
			role: 'soft',
			a: point(p.hip.x - 0.06 * H, p.hip.y + 0.05),
			b: point(p.hip.x - 0.06 * H, p.hip.y + 0.22),
			r: 0.045
		}
	],
	'bolster-heels': ({ p }) => [
		{
			kind: 'block',
			role: 'soft',
			x0: p.near.heel.x - 0.13,
			x1: p.near.heel.x + 0.13,
			y0: 0,
			y1: Math.max(0.03, p.near.heel.y)
		}
	],
	'bolster-knees': ({ p, H }) => [
		{ kind: 'disc', role: 'soft', at: point(p.near.knee.x, p.near.knee.y - 0.03 * H - 0.08), r: 0.08 }
	],
	'band-knees': (at) =>
		band(at, between(at.p.hip, at.p.near.knee, 0.82), between(at.p.farHip ?? at.p.hip, at.far.knee, 0.82)),
	'band-shins': (at) =>
		band(at, between(at.p.near.knee, at.p.near.ankle, 0.55), between(at.far.knee, at.far.ankle, 0.55)),
	'band-ankles': (at) =>
		band(at, between(at.p.near.knee, at.p.near.ankle, 0.92), between(at.far.knee, at.far.ankle, 0.92)),
	cuff: ({ p }) => [
		{
			kind: 'rod',
			role: 'load',
			a: between(p.near.knee, p.near.ankle, 0.88),
			b: between(p.near.knee, p.near.ankle, 0.96),
			r: 0.042
		}
	],
	'ball-hands': ({ hand }) => [{ kind: 'disc', role: 'soft', at: point(hand.x + 0.05, hand.y), r: 0.1 }],
	'weight-hands': ({ hand, kg }) => [
		{ kind: 'disc', role: 'load', at: point(hand.x, hand.y), r: weightRadius(kg) }
	],
	'weight-hips': ({ p, H, kg }) => [
		{
			kind: 'disc',
			role: 'load',
			at: point(p.hip.x, p.hip.y + 0.05 * H + weightRadius(kg)),
			r: weightRadius(kg)
		}
	],
	'weight-shoulders': ({ p, kg }) => [
		{
			kind: 'disc',
			role: 'load',
			at: point(p.shoulder.x - 0.03, p.shoulder.y + 0.04),
			r: weightRadius(kg)
		}
	],
	stick: ({ hand }) => [
		{
			kind: 'rod',
			role: 'support',
			a: point(hand.x + 0.01, 0),
			b: point(hand.x + 0.01, Math.max(hand.y + 0.25, 1.1)),
			r: 0.012
		}
	],
	'roller-far': ({ p, far, H }) => roller(between(p.hip, far.knee), H),
	'roller-near': ({ p, H }) => roller(between(p.hip, p.near.knee), H),
	'blocks-hands': ({ hand }) => [
		{
			kind: 'block',
			role: 'furniture',
			x0: hand.x - 0.07,
			x1: hand.x + 0.07,
			y0: 0,
			y1: Math.max(0.04, hand.y - 0.02)
		}
	]
};

/** The solids of a pose's props, placed on its points. */
export function propsOfPose(body: Body, p: PosedPoints, props: readonly PoseProp[], kg = 4): readonly Prop[] {
	const placed: Placed = { p, far: p.far ?? p.near, hand: p.hand ?? p.shoulder, H: body.heightM, kg };
	return props.flatMap((id) => PROPS[id](placed));
}
