/** Ready, and there is nowhere further to go. */
import { no, PS, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';

const complete = (j: Judged): Finding =>
	j.ready ? yes(undefined, { code: 'ladder.complete', met: true, source: PS }) : no();

export const holdCompleteRule: ExerciseRule = { rule: 'hold.complete', decision: 'hold', judge: complete };
