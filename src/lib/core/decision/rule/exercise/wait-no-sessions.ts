/** Nothing was logged since the last change, or a limit made what was logged history. */
import type { Reason } from '../../trace.ts';
import { no, PS, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { REGRESSIONS } from './regressions.ts';

function noSessions(j: Judged): Finding {
	const none = j.since.length === 0 && !(j.late !== undefined && j.state.kind === 'unsettled');
	// A limit makes earlier sessions history for an advance; what asks for less in them still asks for it.
	const restarted = j.since.length > 0 && j.fresh.length === 0 && !REGRESSIONS.some((r) => r.judge(j).fired);
	const why: Reason = {
		code: 'sessions.none',
		met: none || restarted,
		value: j.fresh.length,
		threshold: 1,
		source: PS
	};
	return none || restarted ? yes(undefined, why) : no(why);
}

export const waitNoSessionsRule: ExerciseRule = {
	rule: 'wait.no-sessions',
	decision: 'wait',
	judge: noSessions
};
