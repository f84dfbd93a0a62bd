/** Two sessions running left more than a third undone, for pain, tiredness or form. */
import type { Session } from '../../../session/record.ts';
import { shareDone } from '../../../session/work.ts';
import { causeOfPain } from '../../regress.ts';
import type { Reason } from '../../trace.ts';
import { no, PS, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { lastOf } from './reasons.ts';

const OWN_REASONS = ['pain', 'tired', 'form'] as const;
const INCOMPLETE_SHARE = 0.7;

function incomplete(j: Judged): Finding {
	const two = lastOf(j, 2);
	if (two === undefined) return no();
	const why = two.map((s): Reason => {
		const share = shareDone(s);
		const own =
			s.incompleteBecause !== undefined && (OWN_REASONS as readonly string[]).includes(s.incompleteBecause);
		return {
			code: 'work.incomplete',
			met: share < INCOMPLETE_SHARE && own,
			value: Math.round(100 * share),
			threshold: 70,
			source: PS,
			day: s.date
		};
	});
	if (!why.every((r) => r.met)) return no(...why);
	const last = two[1] as Session;
	return yes(
		last.incompleteBecause === 'pain'
			? causeOfPain(last)
			: last.incompleteBecause === 'form'
				? 'form'
				: 'tired',
		...why
	);
}

export const regressIncompleteRule: ExerciseRule = {
	rule: 'regress.incomplete',
	decision: 'regress',
	judge: incomplete
};
