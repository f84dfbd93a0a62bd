/** Hinge, deadlift, good bend from the hips: the lowest handle, or the deepest bow, that back and straight legs allow. */
import type { HingePosture } from '../../exercise/step-posture.ts';
import { hinge } from '../../posture/hinge.ts';
import { lowestHandleCm } from '../../posture/inverse-movements.ts';
import { holds } from '../../posture/verdict.ts';
import { framed } from '../drawing/drawn.ts';
import { asked, type Inside, jointMoments, type Movement, notBelow, upTo, within } from '../movement.ts';
import { SETUP_LENGTHS } from '../set-up-length.ts';
import { framesOfHinge } from './frames.ts';
import { byBow, handleFor, hingeIn, hingeOf, usualBowDeg } from './problem.ts';

const AXES_ASKED = ['kneeFlexion', 'thighTrunkFlexion', 'straightLegRaise', 'forwardBow'] as const;
const HIGHEST_HANDLE = SETUP_LENGTHS.handleCm.gentlest;
const LEAST_BOW = SETUP_LENGTHS.bowDeg.gentlest;

/** The deepest bow inside limits, whole degrees, no deeper than it is usually given; less than the least where none is. What a bow asks grows with it. */
function deepestBow({ p, ctx: { body }, limits }: Inside<HingePosture>): number {
	const inside = (bowDeg: number): boolean =>
		holds(hinge({ ...hingeIn(p, body, { bowDeg }), limits }).checks);
	let [low, high] = [LEAST_BOW - 1, Math.max(LEAST_BOW, upTo(usualBowDeg(p, body)))];
	if (inside(high)) return high;
	while (high - low > 1) {
		const middle = Math.floor((low + high) / 2);
		if (inside(middle)) low = middle;
		else high = middle;
	}
	return low;
}

export const HINGE: Movement<HingePosture> = {
	axes: () => AXES_ASKED,
	oneSided: (p) => p.oneLeg === true,
	byTechnique: false,
	length: (p) => (byBow(p) ? 'bowDeg' : 'handleCm'),
	usual: (p, body) =>
		byBow(p) ? { bowDeg: Math.round(usualBowDeg(p, body)) } : { handleCm: handleFor(p, body) },
	asks: ({ p, ctx: { body }, setup }) => {
		const q = hinge(hingeIn(p, body, setup));
		const { kneeFlexion, thighTrunkFlexion, trunkLean } = q.angles;
		return asked(
			{ kneeFlexion, thighTrunkFlexion, straightLegRaise: q.hamstring, forwardBow: trunkLean },
			jointMoments(q.moments),
			q.checks
		);
	},
	hardest: (inside) => {
		const { p, ctx, limits, run } = inside;
		if (byBow(p)) {
			const bowDeg = run(() => deepestBow(inside));
			return bowDeg >= LEAST_BOW ? { bowDeg } : null;
		}
		const lowest = run(() => lowestHandleCm({ ...hingeOf(p, ctx.body), limits }));
		const handleCm = Math.max(handleFor(p, ctx.body), notBelow(lowest));
		return handleCm <= HIGHEST_HANDLE ? { handleCm } : null;
	},
	gentlest: ({ p }) => (byBow(p) ? { bowDeg: LEAST_BOW } : { handleCm: HIGHEST_HANDLE }),
	unended: (p) => ({ ...p, handleCm: 0 }),
	picture: (at, limiting) => framed(at.ctx.body, framesOfHinge(at), limiting),
	faults: (p) => within('handle', p.handleCm, SETUP_LENGTHS.handleCm.possible, 'cm')
};
