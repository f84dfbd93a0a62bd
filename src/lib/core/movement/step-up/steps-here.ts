/** The steps and blocks a room has; any height where it names none. */
import type { FitContext, SolvedSetup } from '../context.ts';
import { upTo } from '../movement.ts';
import { SETUP_LENGTHS } from '../set-up-length.ts';

const LEAST_STEP = SETUP_LENGTHS.stepCm.gentlest;

export function lowestStep({ furniture }: FitContext): number {
	const here = (furniture?.steps ?? []).filter((cm) => cm >= LEAST_STEP);
	return here.length === 0 ? LEAST_STEP : Math.min(...here);
}

/** The highest step here that is no higher than what was solved; the number itself where the room names no steps. */
export function stepSetup(highest: number, usual: number, { furniture }: FitContext): SolvedSetup | null {
	const most = Math.min(usual, upTo(highest));
	const here = furniture?.steps ?? [];
	const stepCm =
		here.length === 0 ? most : here.filter((cm) => cm <= most).reduce((m, cm) => Math.max(m, cm), 0);
	return stepCm >= LEAST_STEP ? { stepCm } : null;
}
