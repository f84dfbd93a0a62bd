/** Stepping up: from the top of the step over the swing to the touch. */
import { standingOnTop, stepUp } from '../../posture/step-up.ts';
import type { At } from '../movement.ts';
import type { StepUpPosture } from '../../exercise/step-posture.ts';
import { carried, block, label, withArms, heldBy, betweenSticks, type FrameAt } from '../drawing/frame.ts';

export function framesOfStepUp({ step, p, ctx, setup }: At<StepUpPosture>): FrameAt {
	const { body } = ctx;
	const { load } = p;
	const stepCm = setup?.stepCm ?? p.stepCm;
	const up = stepUp({ body, stepCm, ...(load === undefined ? {} : { load }) });
	const top = standingOnTop(body, stepCm);
	const [touch, over] = up.sticks;
	return (t) => {
		const s =
			t >= 0.5 ? betweenSticks(body, over, touch, (t - 0.5) * 2) : betweenSticks(body, top, over, t * 2);
		const { hand, props } = heldBy(body, step, s);
		const points = withArms(body, s, hand);
		const x0 = touch.near.heel.x;
		return {
			points,
			props: [block(x0, x0 + 0.42, stepCm / 100), ...props, ...carried(body, points, load)],
			labels: [label(x0 + 0.33, 0.02, stepCm, 'step')]
		};
	};
}
