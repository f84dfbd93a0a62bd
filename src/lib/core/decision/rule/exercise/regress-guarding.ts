/** Two sessions running with confidence of 4 or less, where the policy asks for confidence. */
import type { Reason } from '../../trace.ts';
import { no, PS, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { lastOf } from './reasons.ts';

const GUARDING = 4;

function guarding(j: Judged): Finding {
	const two = lastOf(j, 2);
	if (two === undefined || j.policy.confidenceMin === null) return no();
	const why = two.map((s): Reason => ({
		code: 'confidence.low',
		met: s.confidence !== undefined && s.confidence <= GUARDING,
		value: s.confidence ?? null,
		threshold: GUARDING,
		source: PS,
		day: s.date
	}));
	return why.every((r) => r.met) ? yes('guarding', ...why) : no(...why);
}

export const regressGuardingRule: ExerciseRule = {
	rule: 'regress.guarding',
	decision: 'regress',
	judge: guarding
};
