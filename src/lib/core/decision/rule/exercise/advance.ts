/** Every condition of the streak is met and a way is open. */
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { closedEdges, unmet } from './reasons.ts';

const advance = (j: Judged): Finding =>
	j.ready && j.ways.open !== null
		? yes(undefined, ...j.streak)
		: no(...(j.ready ? closedEdges(j) : unmet(j)));

export const advanceRule: ExerciseRule = { rule: 'advance', decision: 'advance', judge: advance };
