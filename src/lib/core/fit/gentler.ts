/**
 * One notch gentler on each dial of a step as it is set up: the seat up by what the room can build, the squat shallower, or the
 * easier step. @source common-practice the size of a notch
 */
import type { Step } from '../exercise/family.ts';
import type { Dial } from '../exercise/dial.ts';
import { fitStep, type FitContext, type SolvedSetup, type StepFit } from './fit.ts';
import { buildSeat } from './furniture.ts';

export interface GentlerNotch {
	readonly dial: Dial;
	readonly to: string | number;
	readonly step?: string;
	readonly setup: SolvedSetup;
}

const SEAT_NOTCH_CM = 3;
const THIGH_NOTCH_DEG = 8;
const LEAST_THIGH_DEG = 30;

/** The set-up a step is given in: as solved, else as it stands. */
export function setupFor(step: Step, fit: StepFit): SolvedSetup {
	if (fit.setup !== null) return fit.setup;
	const { depth, heelWedgeCm } = step.posture;
	return { ...('seatCm' in depth ? { seatCm: depth.seatCm } : 'thighDeg' in depth ? { thighDeg: depth.thighDeg } : {}), ...(heelWedgeCm === undefined ? {} : { heelWedgeCm }) };
}

export function gentlerNotches(setup: SolvedSetup | null, easier: Step | undefined, ctx: FitContext): readonly GentlerNotch[] {
	const out: GentlerNotch[] = [];
	if (setup?.seatCm !== undefined) {
		const { build: _, ...rest } = setup;
		const wanted = setup.seatCm + SEAT_NOTCH_CM;
		const build = ctx.furniture === undefined ? undefined : buildSeat(wanted, ctx.furniture);
		const built = build !== undefined && build.short === 0;
		const seatCm = built ? build.reaches : wanted;
		out.push({ dial: 'surface', to: seatCm, setup: { ...rest, seatCm, ...(built ? { build } : {}) } });
	} else if (setup?.thighDeg !== undefined && setup.thighDeg - THIGH_NOTCH_DEG >= LEAST_THIGH_DEG) {
		const thighDeg = setup.thighDeg - THIGH_NOTCH_DEG;
		out.push({ dial: 'depth', to: thighDeg, setup: { ...setup, thighDeg } });
	}
	if (easier !== undefined) out.push({ dial: 'support', to: easier.id, step: easier.id, setup: setupFor(easier, fitStep(easier, ctx)) });
	return out;
}
