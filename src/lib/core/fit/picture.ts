/**
 * The picture of any step for a body, in a set-up: points, furniture and labels at every moment between the easy end (t = 0) and the
 * hard point (t = 1), by solving the in-between set-ups where the movement is solved and by turning limbs where it is posed. The same
 * figure on the ladder, the card, the library and the print.
 */
import { unreachable } from '../base/result.ts';
import type { Axis } from '../body/axis.ts';
import type { Body } from '../body/body.ts';
import type { Step } from '../exercise/family.ts';
import { isSquat, type StepPosture } from '../exercise/step-posture.ts';
import { figureOf, type Scene } from '../figure/figure.ts';
import { betweenPoses, pointsOfPose, type KeyPose } from '../figure/key-pose.ts';
import { propsOfPose } from '../figure/prop.ts';
import type { Figure } from '../figure/shape.ts';
import { postureInBand } from '../posture/inverse-in-band.ts';
import { defaultArms } from '../posture/upper-body.ts';
import type { FitContext, SolvedSetup } from './context.ts';
import { boundsOf } from './limits-for.ts';
import { depthFor, isSquatStep, standAt, type SquatStep } from './squat-stand.ts';
import { framesOfStepUp } from './frames/step-up.ts';
import { framesOfStepDown } from './frames/step-down.ts';
import { framesOfSplitSquat } from './frames/split-squat.ts';
import { framesOfHinge } from './frames/hinge.ts';
import { framesOfBridge } from './frames/bridge.ts';
import { framesOfKneeExtension } from './frames/knee-extension.ts';
import { framesOfLegPress } from './frames/leg-press.ts';
import { framesOfHeelRaise } from './frames/heel-raise.ts';
import { drawn, viewOf } from './frames/drawn.ts';
import { mix, UPRIGHT, type Frame, type FrameAt } from './frames/frame.ts';

export interface Picture {
	/** The figure at a moment, 0 easy to 1 hard. */
	readonly at: (t: number) => Figure;
}

export function pictureOf(
	step: Step,
	ctx: FitContext,
	setup: SolvedSetup | null,
	limiting: readonly Axis[] = []
): Picture {
	const { body } = ctx;
	if (step.drawn !== undefined) return posed(body, step.drawn.from, step.drawn.to, step.posture, limiting);
	if (isSquatStep(step)) return squatPicture(step, ctx, setup, limiting);
	if (step.posture.movement === 'pose')
		return posed(body, step.posture.from, step.posture.to, step.posture, limiting);
	const frameAt = frames(step, ctx, setup);
	const viewBox = viewOf(body, [frameAt(0), frameAt(0.5), frameAt(1)]);
	return { at: (t) => drawn(body, frameAt(t), viewBox, limiting) };
}

function squatPicture(
	step: SquatStep,
	ctx: FitContext,
	setup: SolvedSetup | null,
	limiting: readonly Axis[]
): Picture {
	const { body } = ctx;
	const stand = standAt(step, ctx, setup);
	const bounds = boundsOf(step, ctx);
	const depth = depthFor(step, setup);
	const bottom = postureInBand({ ...stand, depth }, bounds);
	const { load, stance, movement } = step.posture;
	const held = step.dials.support === 'two-hands';
	const arms = defaultArms(movement, 'seatCm' in depth, load);
	const scene: Omit<Scene, 'posture'> = {
		body,
		arms: arms === 'hang' && !held && load === undefined ? 'forward' : arms,
		stance,
		held,
		limiting,
		...('seatCm' in depth ? { seatCm: depth.seatCm } : {}),
		...(load === undefined ? {} : { load })
	};
	const seatAt = bottom.points.hip.x;
	return {
		at: (t) => {
			if (t >= 1) return figureOf({ ...scene, posture: bottom });
			const p = postureInBand(
				{ ...stand, depth: { thighDeg: mix(UPRIGHT, bottom.angles.thigh, t) } },
				bounds
			);
			return figureOf({ ...scene, posture: p, seatAtM: seatAt });
		}
	};
}

function posed(body: Body, from: KeyPose, to: KeyPose, p: StepPosture, limiting: readonly Axis[]): Picture {
	const kg = p.load?.kg ?? 4;
	const frameAt = (t: number): Frame => {
		const pose = betweenPoses(from, to, t);
		const points = pointsOfPose(body, pose);
		return { points, props: propsOfPose(body, points, pose.props ?? [], kg), labels: [] };
	};
	const viewBox = viewOf(body, [frameAt(0), frameAt(1)]);
	return { at: (t) => drawn(body, frameAt(t), viewBox, limiting) };
}

function frames(step: Step, ctx: FitContext, setup: SolvedSetup | null): FrameAt {
	const p = step.posture;
	if (isSquat(p) || p.movement === 'pose') throw new Error('unreachable: drawn elsewhere');
	switch (p.movement) {
		case 'step-up':
			return framesOfStepUp(step, p, ctx, setup);
		case 'step-down':
			return framesOfStepDown(step, p, ctx, setup);
		case 'split-squat':
			return framesOfSplitSquat(step, p, ctx, setup);
		case 'hinge':
			return framesOfHinge(step, p, ctx, setup);
		case 'bridge':
			return framesOfBridge(step, p, ctx, setup);
		case 'knee-extension':
			return framesOfKneeExtension(p, ctx);
		case 'leg-press':
			return framesOfLegPress(p, ctx, setup);
		case 'heel-raise':
			return framesOfHeelRaise(step, p, ctx);
		default:
			return unreachable(p);
	}
}
