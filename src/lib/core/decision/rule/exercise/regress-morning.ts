/** The morning after was unsettled, and this exercise is the suspect. */
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { regionReason, suspectReason } from './reasons.ts';

function regressMorning(j: Judged): Finding {
	const why = [regionReason(j), suspectReason(j)];
	if (j.state.kind !== 'unsettled' || !j.suspect) return no(...why);
	return {
		...yes('morning', ...why),
		...(j.state.again ? { alternatives: [{ code: 'region-sets', value: 0.6 }] } : {})
	};
}

export const regressMorningRule: ExerciseRule = {
	rule: 'regress.morning',
	decision: 'regress',
	judge: regressMorning
};
