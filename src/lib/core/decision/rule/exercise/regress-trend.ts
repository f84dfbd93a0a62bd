/** Mornings rise from week to week, and this exercise is the suspect. */
import type { Reason } from '../../trace.ts';
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { suspectReason } from './reasons.ts';

function regressTrend(j: Judged): Finding {
	const [now, last] = j.state.medians;
	const why: Reason[] = [
		{
			code: 'region.rising',
			met: j.state.kind === 'rising',
			value: now ?? null,
			threshold: last ?? null,
			source: 'silbernagel-2007',
			region: j.region
		},
		suspectReason(j)
	];
	return j.state.kind === 'rising' && j.suspect ? yes('morning', ...why) : no(...why);
}

export const regressTrendRule: ExerciseRule = {
	rule: 'regress.trend',
	decision: 'regress',
	judge: regressTrend
};
