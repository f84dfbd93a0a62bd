/** The last session hurt above what is acceptable. */
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { causeOfPain } from '../../regress.ts';
import { painOver } from './reasons.ts';

function regressPain(j: Judged): Finding {
	const p = painOver(j, 'acceptable');
	if (p === undefined) return no();
	return p.over ? yes(causeOfPain(p.s), p.reason) : no(p.reason);
}

export const regressPainRule: ExerciseRule = {
	rule: 'regress.pain',
	decision: 'regress',
	judge: regressPain
};
