/** One fault in half of the repetitions of two seen sessions running. */
import type { Session } from '../../../session/record.ts';
import { causeOfFault } from '../../regress.ts';
import { no, PS, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';

function repeatedFault(j: Judged): Finding {
	const seen = j.since.filter((s) => s.observed).slice(-2);
	if (seen.length < 2) return no();
	const [a, b] = seen as [Session, Session];
	const shared = Object.entries(a.faults ?? {})
		.filter(([id, share]) => share >= 0.5 && (b.faults?.[id] ?? 0) >= 0.5)
		.sort((x, y) => y[1] - x[1] || (x[0] < y[0] ? -1 : 1));
	const first = shared[0];
	if (first === undefined) return no({ code: 'fault.repeated', met: false, source: PS });
	const named = j.input.exercise.faults?.[first[0]];
	return {
		...yes(named?.cause ?? causeOfFault(first[0]), {
			code: 'fault.repeated',
			met: true,
			value: first[0],
			threshold: 50,
			source: PS,
			day: b.date
		}),
		...(named === undefined ? {} : { dial: named.dial })
	};
}

export const regressFaultRule: ExerciseRule = {
	rule: 'regress.fault',
	decision: 'regress',
	judge: repeatedFault
};
