/** Leakage in the last session: the impact or load dial first, and a pelvic-health review. */
import type { Reason } from '../../trace.ts';
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';

function leakage(j: Judged): Finding {
	const leaked = j.last?.symptoms?.includes('leakage') === true;
	const why: Reason = {
		code: 'symptom.leakage',
		met: leaked,
		source: 'common-practice',
		...(j.last ? { day: j.last.date } : {})
	};
	return leaked
		? {
				...yes('leakage', why),
				alternatives: [{ code: 'pelvic-health-review' }, { code: 'technique', value: 'stacked' }]
			}
		: no(why);
}

export const regressLeakageRule: ExerciseRule = {
	rule: 'regress.leakage',
	decision: 'regress',
	judge: leakage
};
