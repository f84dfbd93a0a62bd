/** Ready, and every way on is closed by a gate or a range. */
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { closedEdges } from './reasons.ts';

const gate = (j: Judged): Finding =>
	j.ready && j.ways.edges.length > 0 && j.input.exercise.goalKept !== true
		? yes(undefined, ...closedEdges(j))
		: no(...closedEdges(j));

export const holdGateRule: ExerciseRule = { rule: 'hold.gate', decision: 'hold', judge: gate };
