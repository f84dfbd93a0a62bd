/** Split squat and lunge, with the riser under the front foot where there is one. */
import { type Prop } from '../../figure/prop.ts';
import { splitSquat } from '../../posture/split-squat.ts';
import { splitOf } from './problem.ts';
import type { At } from '../movement.ts';
import { ankleCap } from '../squat/stand.ts';
import type { SplitPosture } from '../../exercise/step-posture.ts';
import { carried, mix, block, label, withArms, handOnLoad, heldBy, type FrameAt } from '../drawing/frame.ts';

export function framesOfSplitSquat({ step, p, ctx, setup, bounds }: At<SplitPosture>): FrameAt {
	const { body } = ctx;
	const { load } = p;
	const problem = splitOf(step, p, ctx, setup, ankleCap(bounds[0] ?? {}));
	const bottom = splitSquat(problem);
	const start = Math.min(30, bottom.front.thigh);
	return (t) => {
		const s =
			t >= 1 ? bottom.stick : splitSquat({ ...problem, thighDeg: mix(start, bottom.front.thigh, t) }).stick;
		const { hand, props } = heldBy(body, step, s);
		const points = withArms(body, s, hand ?? handOnLoad(body, s, load));
		const riser = (p.frontElevationCm ?? 0) / 100;
		const under: readonly Prop[] = riser > 0 ? [block(s.near.heel.x - 0.05, s.near.toe.x + 0.06, riser)] : [];
		return {
			points,
			props: [...under, ...props, ...carried(body, points, load)],
			labels: riser > 0 ? [label(s.near.toe.x, 0.02, riser * 100, 'riser')] : []
		};
	};
}
