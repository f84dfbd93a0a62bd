/** The sled along its rail. */
import { point } from '../../base/vector.ts';
import { type Prop } from '../../figure/prop.ts';
import { legPress } from '../../posture/leg-press.ts';
import type { At } from '../movement.ts';
import type { LegPressPosture } from '../../exercise/step-posture.ts';
import { mix, block, withArms, waitingLeg, type FrameAt } from '../drawing/frame.ts';

export function framesOfLegPress({ p, ctx, setup }: At<LegPressPosture>): FrameAt {
	const { body } = ctx;
	const sledCm = setup?.sledCm ?? p.sledCm;
	const far = 96 * (body.shankM + body.thighM);
	return (t) => {
		const pressed = legPress({
			body,
			sledCm: mix(Math.max(far, sledCm), sledCm, t),
			railDeg: p.railDeg,
			backDeg: p.backDeg,
			legs: p.legs
		}).stick;
		const points = withArms(
			body,
			p.legs === 2 ? pressed : { ...pressed, far: waitingLeg(body, pressed.hip) }
		);
		const { hip, shoulder, near } = points;
		const rest: Prop = {
			kind: 'rod',
			role: 'furniture',
			a: point(hip.x - 0.02, hip.y - 0.11),
			b: point(shoulder.x - 0.1, shoulder.y - 0.09),
			r: 0.03
		};
		const plate: Prop = {
			kind: 'rod',
			role: 'furniture',
			a: point(near.heel.x + 0.03, near.heel.y),
			b: point(near.toe.x + 0.03, near.toe.y + 0.03),
			r: 0.022
		};
		const foot: Prop = block(hip.x - 0.18, hip.x + 0.16, hip.y - 0.15);
		return { points, props: [foot, rest, plate], labels: [] };
	};
}
