/** Ready, and what comes next asks a range that nobody has measured. */
import type { Reason } from '../../trace.ts';
import { no, PS, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';

function needsMeasure(j: Judged): boolean {
	return j.ways.unknown || j.ways.edges.some((e) => e.verdict === 'unmeasured');
}

function waitMeasure(j: Judged): Finding {
	const measure = j.ways.edges.filter((e) => e.verdict === 'unmeasured');
	const why = measure.map((e): Reason => ({
		code: 'edge.unmeasured',
		met: true,
		value: e.step,
		threshold: (e.measure ?? []).join(','),
		source: PS
	}));
	return j.ready && needsMeasure(j)
		? yes(undefined, ...(why.length > 0 ? why : [{ code: 'edges.unknown', met: true, source: PS } as const]))
		: no(...why);
}

export const waitMeasureRule: ExerciseRule = { rule: 'wait.measure', decision: 'wait', judge: waitMeasure };
