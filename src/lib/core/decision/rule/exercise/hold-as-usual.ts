/** A symptom that a licensed user agreed is as usual: hold, with a hand for support. */
import type { Reason } from '../../trace.ts';
import { no, PS, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { STOP_SYMPTOMS } from './reasons.ts';

function asUsual(j: Judged): Finding {
	const told = (j.last?.symptoms ?? []).filter((x) => (STOP_SYMPTOMS as readonly string[]).includes(x));
	const why = told.map((x): Reason => ({
		code: 'symptom.as-usual',
		met: true,
		value: x,
		source: PS,
		day: j.last?.date ?? j.input.today
	}));
	return told.length > 0 ? { ...yes(undefined, ...why), alternatives: [{ code: 'support' }] } : no();
}

export const holdAsUsualRule: ExerciseRule = { rule: 'hold.as-usual', decision: 'hold', judge: asUsual };
