/** Muscles sorer than the policy lets pass, or still sore after three days. */
import type { Reason } from '../../trace.ts';
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';

function soreness(j: Judged): Finding {
	const said = j.last?.soreness;
	const over = said !== undefined && said >= j.policy.sorenessHold;
	const why: Reason = {
		code: 'soreness',
		met: over || j.last?.sorenessOver72h === true,
		value: said ?? null,
		threshold: j.policy.sorenessHold,
		source: 'cheung-2003'
	};
	return why.met ? yes(undefined, why) : no(why);
}

export const holdSorenessRule: ExerciseRule = { rule: 'hold.soreness', decision: 'hold', judge: soreness };
