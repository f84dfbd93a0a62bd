/** Split squat and lunge: the depth is solved for both legs, in the first way that serves best. */
import type { SplitPosture } from '../../exercise/step-posture.ts';
import { lowestSplitSquatDeg } from '../../posture/inverse-movements.ts';
import { splitSquat } from '../../posture/split-squat.ts';
import { framed } from '../drawing/drawn.ts';
import { asked, jointMoments, type Movement, SQUAT_AXES, within } from '../movement.ts';
import { SETUP_LENGTHS } from '../set-up-length.ts';
import { depthSetup } from '../squat/movement.ts';
import { ankleCap, techniqueFor } from '../squat/stand.ts';
import { framesOfSplitSquat } from './frames.ts';
import { splitOf } from './problem.ts';
import { lungeWays } from './ways.ts';

/** Hip back is measured with the pelvis held; in a stride the pelvis and low back give about so much more, degrees. @source common-practice */
export const PELVIS_GIVES = 10;
const AXES_ASKED = [...SQUAT_AXES, 'hipExtension', 'bigToeExtension'] as const;
const DEEPEST = SETUP_LENGTHS.thighDeg.possible[1];

export const SPLIT_SQUAT: Movement<SplitPosture> = {
	axes: () => AXES_ASKED,
	oneSided: () => true,
	byTechnique: true,
	length: () => 'thighDeg',
	usual: ({ thighDeg }) => (thighDeg === undefined ? {} : { thighDeg }),
	asks: ({ step, p, ctx, setup, bounds }) => {
		const q = splitSquat(splitOf(step, p, ctx, setup, ankleCap(bounds[0] ?? {})));
		return asked(q.demand, jointMoments(q.moments), q.checks, q.rearDemand);
	},
	hardest: ({ step, p, ctx, limits, rearLimits, run }) => {
		const { thighDeg: _, ...problem } = splitOf(step, p, ctx, null, limits);
		return depthSetup(
			run(() => lowestSplitSquatDeg({ ...problem, rearLimits })),
			p.thighDeg ?? DEEPEST
		);
	},
	gentlest: () => ({ thighDeg: SETUP_LENGTHS.thighDeg.gentlest }),
	unended: ({ thighDeg: _, ...p }) => p,
	rearGives: { hipExtension: PELVIS_GIVES },
	ways: (step, ctx) => lungeWays(ctx, techniqueFor(step, ctx.technique, ctx.teach) ?? 'parallel'),
	picture: (at, limiting) => framed(at.ctx.body, framesOfSplitSquat(at), limiting),
	faults: (p) => [
		...within('thigh', p.thighDeg, SETUP_LENGTHS.thighDeg.possible, '°'),
		...within('stride', p.stride, [0.2, 0.7], 'of stature'),
		...within('riser', p.frontElevationCm, [0, 30], 'cm')
	]
};
