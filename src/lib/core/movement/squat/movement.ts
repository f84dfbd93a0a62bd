/** Squats and rises from a seat: the seat or the depth is solved over the technique's band of shanks. */
import type { SquatPosture } from '../../exercise/step-posture.ts';
import {
	deepestSquatInBand,
	leastInBand,
	lowestSeatInBand,
	shortInBand
} from '../../posture/inverse-in-band.ts';
import type { Limits, SquatProblem } from '../../posture/problem.ts';
import type { FitContext, SolvedSetup } from '../context.ts';
import { buildSeat } from '../furniture.ts';
import {
	type Asked,
	jointMoments,
	type Movement,
	notBelow,
	type Of,
	SQUAT_AXES,
	upTo,
	within
} from '../movement.ts';
import { SETUP_LENGTHS } from '../set-up-length.ts';
import { squatPicture } from './picture.ts';
import { depthFor, standAt, standOf, techniqueFor, type SquatStep } from './stand.ts';

const HIGHEST_SEAT = SETUP_LENGTHS.seatCm.gentlest;
const LEAST_THIGH = SETUP_LENGTHS.thighDeg.gentlest;
/** A feet-back rise swings on the trunk, so its hip band is wider, degrees. @source common-practice posture bands */
const FEET_BACK_ERROR = 9;

/** The step as one of this movement. */
const squatStep = ({ step }: Of<SquatPosture>): SquatStep => step as SquatStep;

export function askedOfSquat(problem: SquatProblem, bounds: readonly Limits[]): Asked {
	const { angles, moments, failing } = shortInBand(problem, bounds);
	const { kneeFlexion, thighTrunkFlexion, weightBearingDorsiflexion } = angles;
	return {
		demand: { kneeFlexion, thighTrunkFlexion, weightBearingDorsiflexion },
		other: null,
		moments: jointMoments(moments),
		stands: failing.length === 0,
		failing
	};
}

const problemAt = (step: SquatStep, ctx: FitContext, setup: SolvedSetup | null): SquatProblem => ({
	...standAt(step, ctx, setup),
	depth: depthFor(step, setup)
});

/** A depth no deeper than was solved or is usual; null below a quarter squat. */
export function depthSetup(deepest: number, usual: number): SolvedSetup | null {
	const thighDeg = Math.min(usual, upTo(deepest));
	return thighDeg >= LEAST_THIGH ? { thighDeg } : null;
}

function seatSetup(lowest: number, usual: number, { furniture }: FitContext): SolvedSetup | null {
	const seatCm = Math.max(usual, notBelow(lowest));
	if (!(seatCm <= HIGHEST_SEAT)) return null;
	if (furniture === undefined) return { seatCm };
	const build = buildSeat(seatCm, furniture);
	return build === undefined || build.short > 0 ? null : { seatCm: build.reaches, build };
}

/** The highest seat that the room can build. */
function highestSeat({ furniture }: FitContext): SolvedSetup | null {
	if (furniture === undefined) return { seatCm: HIGHEST_SEAT };
	const most = buildSeat(HIGHEST_SEAT, furniture);
	const build = most === undefined ? undefined : buildSeat(most.reaches, furniture);
	return build === undefined ? null : { seatCm: build.reaches, build };
}

export const SQUAT: Movement<SquatPosture> = {
	axes: () => SQUAT_AXES,
	oneSided: (p) => p.stance !== 'both',
	byTechnique: true,
	length: (p) => (p.adjust === 'seat' ? 'seatCm' : 'thighDeg'),
	usual: (p) => ({
		...('seatCm' in p.depth
			? { seatCm: p.depth.seatCm }
			: 'thighDeg' in p.depth
				? { thighDeg: p.depth.thighDeg }
				: {}),
		...(p.heelWedgeCm === undefined ? {} : { heelWedgeCm: p.heelWedgeCm })
	}),
	asks: (at) => askedOfSquat(problemAt(squatStep(at), at.ctx, at.setup), at.bounds),
	least: (at) => leastInBand(problemAt(squatStep(at), at.ctx, at.setup)),
	hardest: (inside) => {
		const { p, ctx, limits, run } = inside;
		const stand = { ...standOf(squatStep(inside), ctx), limits };
		if (p.adjust === 'seat') {
			const usual = 'seatCm' in p.depth ? p.depth.seatCm : 0;
			return seatSetup(
				run(() => lowestSeatInBand(stand, usual)),
				usual,
				ctx
			);
		}
		const usual = 'thighDeg' in p.depth ? p.depth.thighDeg : 90;
		return depthSetup(
			run(() => deepestSquatInBand(stand, usual)),
			usual
		);
	},
	gentlest: ({ p, ctx }) => (p.adjust === 'seat' ? highestSeat(ctx) : { thighDeg: LEAST_THIGH }),
	widerError: (axis, { step, p, ctx }) =>
		axis === 'thighTrunkFlexion' &&
		p.movement === 'sit-to-stand' &&
		techniqueFor(step, ctx.technique, ctx.teach) === undefined
			? FEET_BACK_ERROR
			: undefined,
	picture: (at, limiting) => squatPicture(squatStep(at), at, limiting),
	faults: (p) => [
		...('seatCm' in p.depth ? within('seat', p.depth.seatCm, SETUP_LENGTHS.seatCm.possible, 'cm') : []),
		...('thighDeg' in p.depth ? within('thigh', p.depth.thighDeg, SETUP_LENGTHS.thighDeg.possible, '°') : []),
		...within('wedge', p.heelWedgeCm, [0, 10], 'cm')
	]
};
