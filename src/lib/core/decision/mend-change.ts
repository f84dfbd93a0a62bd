/**
 * The mend of broken work as a proposed change: on the own ladder it is signed as it is; a step of another ladder is offered by name, since it is
 * another exercise.
 */
import type { Mend } from '../safety/standing.ts';
import { lengthIn } from '../movement/context.ts';
import { prescribedNow } from './advance.ts';
import type { Facts } from './facts.ts';
import type { ProposedChange, Trace } from './trace.ts';

export function mendAsChange(
	f: Facts,
	mend: Mend | null
): { readonly change: ProposedChange | null; readonly alternatives: Trace['alternatives'] } {
	const { exercise } = f.input;
	if (mend === null) return { change: null, alternatives: [{ code: 'substitute', value: exercise.purpose }] };
	if (mend.family !== exercise.family)
		return { change: null, alternatives: [{ code: 'substitute-step', value: mend.step }] };
	const now = prescribedNow(f);
	const dose =
		mend.loadKg === undefined ? now.dose : { ...now.dose, loadKg: Math.min(now.dose.loadKg, mend.loadKg) };
	const setup = Object.keys(mend.setup).length === 0 ? {} : { setup: mend.setup };
	const result = { step: mend.step, dose, ...setup };
	const own = lengthIn(mend.setup);
	const dial = mend.kind === 'notch' ? 'step' : own === null ? 'load' : own.of;
	const from = mend.kind === 'notch' ? now.step : (lengthIn(now.setup)?.value ?? null);
	return {
		change: {
			kind: 'mend',
			dial,
			from,
			to: mend.kind === 'notch' ? mend.step : (own?.value ?? dose.loadKg),
			result
		},
		alternatives: []
	};
}
