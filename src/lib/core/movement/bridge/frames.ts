/** A bridge, upper back or feet on something raised where they are. */
import { point, type Point } from '../../base/vector.ts';
import type { Body } from '../../body/body.ts';
import { type PosedPoints } from '../../figure/key-pose.ts';
import { weightRadius, type Prop } from '../../figure/prop.ts';
import { middleJoint } from '../../figure/two-link.ts';
import { bridge } from '../../posture/bridge.ts';
import type { Stick } from '../../posture/stick.ts';
import type { At } from '../movement.ts';
import type { BridgePosture } from '../../exercise/step-posture.ts';
import { benchFor, bridgeAt } from './problem.ts';
import { mix, block, label, type FrameAt } from '../drawing/frame.ts';

/** The body at a moment of a bridge: shoulders stay, the trunk turns up about them, the knees follow by their lengths. */
function pointsAt(body: Body, top: Stick, raised: boolean, t: number): PosedPoints {
	const H = body.heightM;
	const { shoulder, far } = top;
	const lowX = shoulder.x + Math.sqrt(Math.max(0, body.trunkM ** 2 - (shoulder.y - 0.05 * H) ** 2));
	const raw = point(mix(lowX, top.hip.x, t), mix(0.05 * H, top.hip.y, t));
	const share = body.trunkM / Math.hypot(raw.x - shoulder.x, raw.y - shoulder.y);
	const hip = point(shoulder.x + (raw.x - shoulder.x) * share, shoulder.y + (raw.y - shoulder.y) * share);
	/** The leg that is held out goes up with the hips. */
	const moved = (a: Point): Point => point(a.x + hip.x - top.hip.x, a.y + hip.y - top.hip.y);
	const arm = point(shoulder.x + 0.3 * H, raised ? shoulder.y - 0.02 : 0.02 * H);
	return {
		near: { ...top.near, knee: middleJoint(hip, top.near.ankle, body.thighM, body.shankM, 1) },
		...(far === undefined
			? {}
			: {
					far: {
						knee: moved(far.knee),
						ankle: moved(far.ankle),
						heel: moved(far.heel),
						ball: moved(far.ball),
						toe: moved(far.toe)
					}
				}),
		hip,
		shoulder,
		elbow: middleJoint(shoulder, arm, 0.186 * H, 0.15 * H, 1),
		hand: arm,
		headDeg: raised ? -78 : -90
	};
}

/** Two straps that the heels hang in, from above the picture. */
const straps = (heel: Point): readonly Prop[] =>
	[-0.03, 0.03].map((dx) => ({
		kind: 'rod',
		role: 'support',
		a: point(heel.x + dx, heel.y - 0.02),
		b: point(heel.x + dx / 3, heel.y + 0.75),
		r: 0.008
	}));

/** Bench, step or straps, weight across the hips, band around the knees: where there are any. */
function propsAt(
	{ step, p, ctx }: Pick<At<BridgePosture>, 'step' | 'p' | 'ctx'>,
	{ hip, shoulder, near }: PosedPoints,
	shoulderCm: number | undefined
): readonly Prop[] {
	const { load, footCm } = p;
	const r = weightRadius(load?.kg ?? 0);
	const onHips = point(hip.x, hip.y + 0.05 * ctx.body.heightM + r * 0.8);
	return [
		...(shoulderCm === undefined
			? []
			: [block(shoulder.x - 0.22, shoulder.x + 0.12, shoulderCm / 100 - 0.04)]),
		...(footCm === undefined
			? []
			: step.equipment?.includes('straps') === true
				? straps(near.heel)
				: [block(near.heel.x - 0.08, near.toe.x + 0.06, footCm / 100)]),
		...(load === undefined ? [] : [{ kind: 'disc', role: 'load', at: onHips, r } as const]),
		...(step.dials.lever === 'band'
			? [
					{
						kind: 'rod',
						role: 'band',
						a: near.knee,
						b: point(near.knee.x + 0.004, near.knee.y),
						r: 0.052
					} as const
				]
			: [])
	];
}

export function framesOfBridge({ step, p, ctx, setup }: At<BridgePosture>): FrameAt {
	const { body } = ctx;
	const { shoulderCm } = benchFor(p, body);
	const { stick, footDistCm } = bridge(bridgeAt(p, body, setup));
	return (t) => {
		const points = pointsAt(body, stick, shoulderCm !== undefined, t);
		const { shoulder, near } = points;
		return {
			points,
			props: propsAt({ step, p, ctx }, points, shoulderCm),
			labels: [
				...(shoulderCm === undefined ? [] : [label(shoulder.x - 0.05, 0.02, shoulderCm, 'bench')]),
				{ x: 50 * near.ankle.x, y: 9, cm: footDistCm, of: 'feet' }
			]
		};
	};
}
