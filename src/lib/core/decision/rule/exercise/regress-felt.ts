/** Felt in the joint and not in the muscle, in each of the last two sessions that said so. */
import type { Reason } from '../../trace.ts';
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';

function feltInJoint(j: Judged): Finding {
	const told = j.since.filter((s) => s.felt?.joint !== undefined).slice(-2);
	const why = told.map((s): Reason => ({
		code: 'felt.joint',
		met: s.felt?.joint !== 'none',
		value: s.felt?.joint ?? null,
		source: 'common-practice',
		day: s.date
	}));
	return told.length === 2 && why.every((r) => r.met) ? yes('joint', ...why) : no(...why);
}

export const regressFeltRule: ExerciseRule = {
	rule: 'regress.felt',
	decision: 'regress',
	judge: feltInJoint
};
