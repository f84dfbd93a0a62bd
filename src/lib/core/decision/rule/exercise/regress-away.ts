/** Back after two weeks or more: one set and a fifth of the load fewer; after four, a step back and the limiting range again. @source practice-setting */
import { dayNumber } from '../../../base/calendar-day.ts';
import type { Reason } from '../../trace.ts';
import { no, PS, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';

const AWAY_DAYS = 14;
const LONG_AWAY_DAYS = 28;

function away(j: Judged): Finding {
	if (j.last === undefined) return no();
	const days = j.todayN - dayNumber(j.last.date);
	const why: Reason = {
		code: 'away',
		met: days >= AWAY_DAYS,
		value: days,
		threshold: AWAY_DAYS,
		source: PS,
		day: j.last.date
	};
	if (days < AWAY_DAYS) return no(why);
	return days < LONG_AWAY_DAYS
		? yes('away', why)
		: { ...yes('away-long', why), alternatives: [{ code: 'retest' }] };
}

export const regressAwayRule: ExerciseRule = { rule: 'regress.away', decision: 'regress', judge: away };
