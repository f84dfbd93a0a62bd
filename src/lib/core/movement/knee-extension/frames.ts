/** Straightening the knee, seated. */
import { point } from '../../base/vector.ts';
import { chair, type Prop } from '../../figure/prop.ts';
import { seatedStick } from '../../posture/knee-extension.ts';
import type { At } from '../movement.ts';
import type { KneeExtensionPosture } from '../../exercise/step-posture.ts';
import { mix, withArms, type FrameAt } from '../drawing/frame.ts';

export function framesOfKneeExtension({ p, ctx }: At<KneeExtensionPosture>): FrameAt {
	const { body } = ctx;
	const seatCm = 46;
	return (t) => {
		const points = withArms(body, seatedStick(body, seatCm, mix(p.fromDeg, p.toDeg, t)));
		const seat = chair(points.hip.x - 0.26, points.hip.x + 0.3, seatCm / 100);
		const near = points.near;
		const shin = point(mix(near.knee.x, near.ankle.x, 0.9), mix(near.knee.y, near.ankle.y, 0.9));
		const cuff: readonly Prop[] =
			p.by === 'limb'
				? []
				: [
						{
							kind: 'disc',
							role: p.by === 'machine' ? 'furniture' : 'load',
							at: p.by === 'machine' ? point(shin.x + 0.05, shin.y + 0.04) : shin,
							r: 0.055
						}
					];
		const back: readonly Prop[] =
			p.by === 'machine'
				? [
						{
							kind: 'rod',
							role: 'furniture',
							a: point(points.hip.x - 0.13, points.hip.y),
							b: point(points.shoulder.x - 0.12, points.shoulder.y - 0.05),
							r: 0.03
						}
					]
				: [];
		return { points, props: [...seat, ...back, ...cuff], labels: [] };
	};
}
