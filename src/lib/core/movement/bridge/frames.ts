/** A bridge, upper back or feet on something raised where they are. */
import { point, type Point } from '../../base/vector.ts';
import { type PosedPoints } from '../../figure/key-pose.ts';
import { weightRadius, type Prop } from '../../figure/prop.ts';
import { middleJoint } from '../../figure/two-link.ts';
import { bridge } from '../../posture/bridge.ts';
import type { At } from '../movement.ts';
import type { BridgePosture } from '../../exercise/step-posture.ts';
import { benchFor, bridgeAt } from './problem.ts';
import { mix, block, label, type FrameAt } from '../drawing/frame.ts';

export function framesOfBridge({ step, p, ctx, setup }: At<BridgePosture>): FrameAt {
	const { body } = ctx;
	const { load } = p;
	const { shoulderCm } = benchFor(p, body);
	const q = bridge(bridgeAt(p, body, setup));
	const H = body.heightM;
	const low = point(
		q.stick.shoulder.x + Math.sqrt(Math.max(0, body.trunkM ** 2 - (q.stick.shoulder.y - 0.05 * H) ** 2)),
		0.05 * H
	);
	return (t) => {
		const up = mix(0, 1, t);
		const shoulder = q.stick.shoulder;
		const raw = point(mix(low.x, q.stick.hip.x, up), mix(low.y, q.stick.hip.y, up));
		const d = Math.hypot(raw.x - shoulder.x, raw.y - shoulder.y);
		const hip = point(
			shoulder.x + ((raw.x - shoulder.x) * body.trunkM) / d,
			shoulder.y + ((raw.y - shoulder.y) * body.trunkM) / d
		);
		const near = {
			...q.stick.near,
			knee: middleJoint(hip, q.stick.near.ankle, body.thighM, body.shankM, 1)
		};
		const dx = hip.x - q.stick.hip.x;
		const dy = hip.y - q.stick.hip.y;
		const far = q.stick.far;
		const moved = (a: Point): Point => point(a.x + dx, a.y + dy);
		const arm = point(shoulder.x + 0.3 * H, shoulderCm === undefined ? 0.02 * H : shoulder.y - 0.02);
		const points: PosedPoints = {
			near,
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
			headDeg: -90 + (shoulderCm === undefined ? 0 : 12)
		};
		const bench: readonly Prop[] =
			shoulderCm === undefined ? [] : [block(shoulder.x - 0.22, shoulder.x + 0.12, shoulderCm / 100 - 0.04)];
		const feet: readonly Prop[] =
			p.footCm === undefined ? [] : [block(near.heel.x - 0.08, near.toe.x + 0.06, p.footCm / 100)];
		const weight: readonly Prop[] =
			load === undefined
				? []
				: [
						{
							kind: 'disc',
							role: 'load',
							at: point(hip.x, hip.y + 0.05 * H + weightRadius(load.kg) * 0.8),
							r: weightRadius(load.kg)
						}
					];
		const band: readonly Prop[] =
			step.dials.lever === 'band'
				? [
						{
							kind: 'rod',
							role: 'band',
							a: near.knee,
							b: point(near.knee.x + 0.004, near.knee.y),
							r: 0.052
						}
					]
				: [];
		return {
			points,
			props: [...bench, ...feet, ...weight, ...band],
			labels: [
				...(shoulderCm === undefined ? [] : [label(shoulder.x - 0.05, 0.02, shoulderCm, 'bench')]),
				{ x: 50 * near.ankle.x, y: 9, cm: q.footDistCm, of: 'feet' }
			]
		};
	};
}
