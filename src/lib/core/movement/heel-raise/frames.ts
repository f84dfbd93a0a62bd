/** Up on the toes, and below the edge where the heels drop. */
import { point } from '../../base/vector.ts';
import { type Prop } from '../../figure/prop.ts';
import { heelRaiseStick } from '../../posture/heel-raise.ts';
import type { At } from '../movement.ts';
import type { HeelRaisePosture } from '../../exercise/step-posture.ts';
import { carried, mix, block, label, withArms, heldBy, type FrameAt } from '../drawing/frame.ts';

export function framesOfHeelRaise({ step, p, ctx }: At<HeelRaisePosture>): FrameAt {
	const { body } = ctx;
	const { load } = p;
	const edge = p.dropDeg === undefined ? 0 : 15;
	return (t) => {
		const s = heelRaiseStick(body, mix(-(p.dropDeg ?? 0), p.pitchDeg, t), p.legs, p.kneeDeg ?? 0, edge);
		const { hand, props } = heldBy(body, step, {
			...s,
			near: { ...s.near, heel: point(s.near.heel.x, 0) }
		});
		const points = withArms(body, s, hand);
		const under: readonly Prop[] =
			edge > 0 ? [block(s.near.ball.x - 0.03, s.near.toe.x + 0.2, edge / 100)] : [];
		return {
			points,
			props: [...under, ...props, ...carried(body, points, load)],
			labels: edge > 0 ? [label(s.near.toe.x + 0.12, 0.02, edge, 'step')] : []
		};
	};
}
