/** Frames as figures: one view box for the whole movement, what is held in front of the body, the limiting joint ringed. */
import { RAD } from '../../base/angle.ts';
import { point, type Point } from '../../base/vector.ts';
import type { Axis } from '../../body/axis.ts';
import type { Body } from '../../body/body.ts';
import { bodyShapes } from '../../figure/body-shapes.ts';
import { screen } from '../../figure/limb.ts';
import { propShape, type Prop } from '../../figure/prop.ts';
import type { Figure, Joint } from '../../figure/shape.ts';
import type { Frame, FrameAt } from './frame.ts';

const PAD = 0.07;

/** One frame for all moments of a picture: a standing body's own scale, wider where the body lies. */
export function viewOf(body: Body, all: readonly Frame[]): Figure['viewBox'] {
	const H = body.heightM;
	const xs: number[] = [];
	const ys: number[] = [];
	for (const { points: p, props } of all) {
		const head = point(
			p.shoulder.x + 0.19 * H * Math.sin(p.headDeg * RAD),
			p.shoulder.y + 0.19 * H * Math.cos(p.headDeg * RAD)
		);
		for (const q of [
			p.hip,
			p.shoulder,
			head,
			p.hand ?? p.shoulder,
			...[p.near, p.far ?? p.near].flatMap((l) => [l.knee, l.heel, l.toe, l.ankle])
		]) {
			xs.push(q.x);
			ys.push(q.y);
		}
		for (const q of props) if (q.kind === 'block') xs.push(q.x0, q.x1);
	}
	const [low, high] = [Math.min(...xs) - PAD, Math.max(...xs) + PAD];
	const width = Math.max(0.96 * H, high - low);
	const top = Math.max(...ys) + PAD;
	const height = top > 0.75 * H ? Math.max(1.04 * H, top) : Math.max(0.62 * H, top);
	return [100 * ((low + high) / 2 - width / 2), -100 * height, 100 * width, 100 * (height + 0.04 * H)];
}

const RING: Readonly<Record<Axis, Joint['id']>> = {
	kneeFlexion: 'knee',
	thighTrunkFlexion: 'hip',
	weightBearingDorsiflexion: 'ankle',
	straightLegRaise: 'hip',
	hipExtension: 'hip',
	bigToeExtension: 'far-toe',
	hipAbduction: 'hip',
	hipInternalRotation: 'hip',
	hipExternalRotation: 'hip',
	forwardBow: 'hip'
};

export function drawn(
	body: Body,
	{ points, props, labels }: Frame,
	viewBox: Figure['viewBox'],
	limiting: readonly Axis[]
): Figure {
	const shapes = bodyShapes(body, points);
	const ringed = new Set(limiting.map((a) => RING[a]));
	const at: readonly (readonly [Joint['id'], Point])[] = [
		['hip', points.hip],
		['knee', points.near.knee],
		['ankle', points.near.ankle],
		['shoulder', points.shoulder],
		...(ringed.has('far-toe') ? ([['far-toe', (points.far ?? points.near).ball]] as const) : [])
	];
	const held = (p: Prop): boolean =>
		p.role === 'load' || p.role === 'band' || (p.kind === 'disc' && p.over === true);
	const solid = (p: Prop, i: number) => propShape(p, `prop-${i}`);
	return {
		viewBox,
		top: viewBox[1],
		shapes: [
			...props.filter((p) => !held(p)).map(solid),
			...shapes.behind,
			...shapes.middle,
			...props.filter(held).map((p, i) => propShape(p, `held-${i}`)),
			...shapes.front
		],
		joints: at.map(([id, p]) => ({ id, x: screen(p).x, y: screen(p).y, ringed: ringed.has(id) })),
		labels
	};
}

export interface Picture {
	/** The figure at a moment, 0 easy to 1 hard. */
	readonly at: (t: number) => Figure;
}

/** Frames of a movement as a picture, in one view that holds its start, middle and end; `seen` are the moments that need room. */
export function framed(
	body: Body,
	frameAt: FrameAt,
	limiting: readonly Axis[],
	seen: readonly number[] = [0, 0.5, 1]
): Picture {
	const viewBox = viewOf(body, seen.map(frameAt));
	return { at: (t) => drawn(body, frameAt(t), viewBox, limiting) };
}
