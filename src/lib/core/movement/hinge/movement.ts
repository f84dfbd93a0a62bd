/** Hinge, deadlift, good bend from the hips: the lowest handle, or hand, that back and straight legs allow. */
import type { Body } from '../../body/body.ts';
import type { HingePosture } from '../../exercise/step-posture.ts';
import { hinge } from '../../posture/hinge.ts';
import { lowestHandleCm } from '../../posture/inverse-movements.ts';
import { framed } from '../drawing/drawn.ts';
import { asked, jointMoments, type Movement, notBelow, within } from '../movement.ts';
import { SETUP_LENGTHS } from '../set-up-length.ts';
import { framesOfHinge } from './frames.ts';
import { handleFor, hingeOf } from './problem.ts';

const AXES_ASKED = ['kneeFlexion', 'thighTrunkFlexion', 'straightLegRaise'] as const;
const HIGHEST_HANDLE = SETUP_LENGTHS.handleCm.gentlest;

const solved = (p: HingePosture, body: Body, cm: number) => hinge({ ...hingeOf(p, body), handleCm: cm });

export const HINGE: Movement<HingePosture> = {
	axes: () => AXES_ASKED,
	oneSided: (p) => p.oneLeg === true,
	byTechnique: false,
	length: () => 'handleCm',
	usual: (p, body) => ({ handleCm: handleFor(p, body) }),
	asks: ({ p, ctx: { body }, setup }) => {
		const q = solved(p, body, setup?.handleCm ?? handleFor(p, body));
		const { kneeFlexion, thighTrunkFlexion } = q.angles;
		return asked(
			{ kneeFlexion, thighTrunkFlexion, straightLegRaise: q.hamstring },
			jointMoments(q.moments),
			q.checks
		);
	},
	hardest: ({ p, ctx: { body }, limits, run }) => {
		const lowest = run(() => lowestHandleCm({ ...hingeOf(p, body), limits }));
		const handleCm = Math.max(handleFor(p, body), notBelow(lowest));
		return handleCm <= HIGHEST_HANDLE ? { handleCm } : null;
	},
	gentlest: () => ({ handleCm: HIGHEST_HANDLE }),
	unended: (p) => ({ ...p, handleCm: 0 }),
	picture: (at, limiting) => framed(at.ctx.body, framesOfHinge(at), limiting),
	faults: (p) => within('handle', p.handleCm, SETUP_LENGTHS.handleCm.possible, 'cm')
};
