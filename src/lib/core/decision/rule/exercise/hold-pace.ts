/** Ready, but so many advances were made already, or the last was too few days ago. */
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';

const pace = (j: Judged): Finding =>
	j.ready && j.paced !== undefined && j.ways.open?.kind !== 'retry'
		? yes(undefined, j.paced)
		: no(...(j.paced ? [j.paced] : []));

export const holdPaceRule: ExerciseRule = { rule: 'hold.pace', decision: 'hold', judge: pace };
