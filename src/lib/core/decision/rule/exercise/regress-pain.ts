/** The last session hurt above what is acceptable. */
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { causeOfPain } from '../../regress.ts';
import { painOver } from './reasons.ts';

function regressPain(j: Judged): Finding {
	const p = painOver(j, 'acceptable');
	if (p === undefined) return no();
	// What only hurt once it was over is answered as what only hurts next morning is: by the dose first.
	const cause = p.reason.code === 'pain.evening' ? 'morning' : causeOfPain(p.s);
	return p.over ? yes(cause, p.reason) : no(p.reason);
}

export const regressPainRule: ExerciseRule = {
	rule: 'regress.pain',
	decision: 'regress',
	judge: regressPain
};
