/** Pain in a session at the stop line or above. */
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { painOver } from './reasons.ts';

function stopPain(j: Judged): Finding {
	const p = painOver(j, 'stop');
	if (p === undefined) return no();
	return p.over
		? { ...yes(undefined, p.reason), alternatives: [{ code: 'substitute', value: j.input.exercise.purpose }] }
		: no(p.reason);
}

export const stopPainRule: ExerciseRule = { rule: 'stop.pain', decision: 'stop', judge: stopPain };
