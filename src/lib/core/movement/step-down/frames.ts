/** Stepping down: one leg on the edge, the free foot to the floor. */
import { RAD } from '../../base/angle.ts';
import { point, type Point } from '../../base/vector.ts';
import { type Prop } from '../../figure/prop.ts';
import { middleJoint } from '../../figure/two-link.ts';
import { postureInBand } from '../../posture/inverse-in-band.ts';
import { asSquat } from '../../posture/step-down.ts';
import type { Stick } from '../../posture/stick.ts';
import { stepDownOf } from './problem.ts';
import type { At } from '../movement.ts';
import type { LateralStepUpPosture, StepDownPosture } from '../../exercise/step-posture.ts';
import type { SquatProblem } from '../../posture/problem.ts';
import { carried, mix, block, label, withArms, heldBy, type FrameAt } from '../drawing/frame.ts';

/** The leg beside or before the step: how long it hangs, how far ahead, and whether its foot comes down flat. */
interface Hanging {
	readonly legM: number;
	readonly aheadDeg: number;
	readonly flat?: true;
}

export function framesOfStepDown(at: At<StepDownPosture>): FrameAt {
	const { body } = at.ctx;
	return framesOverEdge(at, (cm) => asSquat(stepDownOf(at.step, at.p, at.ctx, { stepCm: cm })), {
		legM: body.thighM + body.shankM,
		aheadDeg: at.p.freeLegDeg
	});
}

/** One leg on a step, from the top of it down to where the other foot stands. */
export function framesOverEdge<P extends StepDownPosture | LateralStepUpPosture>(
	{ step, p, ctx, setup, bounds }: At<P>,
	problemAt: (cm: number) => SquatProblem,
	hanging: Hanging
): FrameAt {
	const { body } = ctx;
	const { load } = p;
	const stepCm = setup?.stepCm ?? p.stepCm;
	const rise = stepCm / 100;
	const downFrom = (cm: number) => postureInBand(problemAt(cm), bounds);
	const bottom = downFrom(stepCm);
	return (t) => {
		const q = t >= 1 ? bottom : downFrom(mix(1.5, stepCm, t));
		const up = (a: Point): Point => point(a.x, a.y + rise);
		const P = q.points;
		const hip = up(P.hip);
		const reach = hanging.legM * Math.min(1, 1 - 0.02 * (1 - t));
		const ahead = hanging.aheadDeg * RAD;
		const toesUp = hanging.flat === true ? 0 : 1;
		const ankle = point(
			hip.x + reach * Math.sin(ahead),
			Math.max(body.ankleHeightM, hip.y - reach * Math.cos(ahead))
		);
		const knee = middleJoint(hip, ankle, body.thighM, body.shankM, 1);
		const low = ankle.y - body.ankleHeightM;
		const s: Stick = {
			near: { heel: up(P.heel), ball: up(P.ball), toe: up(P.toe), ankle: up(P.ankle), knee: up(P.knee) },
			far: {
				knee,
				ankle,
				heel: point(ankle.x - 0.25 * body.footM, low),
				ball: point(ankle.x + 0.45 * body.footM, low + 0.03 * toesUp),
				toe: point(ankle.x + 0.75 * body.footM, low + 0.05 * toesUp)
			},
			hip,
			shoulder: up(P.shoulder)
		};
		const { hand, props } = heldBy(body, step, s);
		const points = withArms(
			body,
			s,
			hand ?? point(s.shoulder.x + 0.3 * body.heightM, s.shoulder.y - 0.08 * body.heightM)
		);
		const wedge: readonly Prop[] =
			q.heelWedgeCm > 0.1 ? [{ kind: 'wedge', role: 'wedge', heel: up(P.heel), ball: up(P.ball) }] : [];
		return {
			points,
			props: [
				block(P.heel.x - 0.3, P.toe.x + 0.01, rise),
				...wedge,
				...props,
				...carried(body, points, load)
			],
			labels: [label(P.heel.x - 0.2, 0.02, stepCm, 'step')]
		};
	};
}
