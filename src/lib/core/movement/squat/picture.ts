/** A squat or rise drawn: the bottom as it is solved, what is between with a thigh that goes down to it. */
import type { Axis } from '../../body/axis.ts';
import { figureOf, type Scene } from '../../figure/figure.ts';
import type { SquatPosture } from '../../exercise/step-posture.ts';
import { postureInBand } from '../../posture/inverse-in-band.ts';
import { defaultArms } from '../../posture/upper-body.ts';
import type { Picture } from '../drawing/drawn.ts';
import { mix, UPRIGHT } from '../drawing/frame.ts';
import type { At } from '../movement.ts';
import { depthFor, standAt, type SquatStep } from './stand.ts';

export function squatPicture(
	step: SquatStep,
	{ ctx, setup, bounds }: At<SquatPosture>,
	limiting: readonly Axis[]
): Picture {
	const stand = standAt(step, ctx, setup);
	const depth = depthFor(step, setup);
	const bottom = postureInBand({ ...stand, depth }, bounds);
	const { load, stance, movement } = step.posture;
	const { below, behind = 0 } = step.seat ?? {};
	const held = step.dials.support === 'two-hands';
	const arms = defaultArms(movement, 'seatCm' in depth, load);
	const scene: Omit<Scene, 'posture'> = {
		body: ctx.body,
		arms: arms === 'hang' && !held && load === undefined ? 'forward' : arms,
		stance,
		held,
		limiting,
		...('seatCm' in depth ? { seatCm: depth.seatCm } : {}),
		...(below === undefined ? {} : { seatBelowCm: below }),
		...(load === undefined ? {} : { load })
	};
	const seatAt = bottom.points.hip.x - behind / 100;
	return {
		at: (t) => {
			if (t >= 1) return figureOf({ ...scene, posture: bottom, seatAtM: seatAt });
			const p = postureInBand(
				{ ...stand, depth: { thighDeg: mix(UPRIGHT, bottom.angles.thigh, t) } },
				bounds
			);
			return figureOf({ ...scene, posture: p, seatAtM: seatAt });
		}
	};
}
