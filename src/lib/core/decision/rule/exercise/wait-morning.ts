/** The morning after the last session is not in; after three days its absence holds. */
import { dayNumber } from '../../../base/calendar-day.ts';
import { nextMorningValue } from '../../facts.ts';
import type { Reason } from '../../trace.ts';
import { no, PS, type ExerciseRule, type Finding, type Judged } from '../finding.ts';

const MORNING_HOURS_DAYS = 3;

function waitMorning(j: Judged): Finding {
	const { last } = j;
	if (last === undefined) return no();
	const missing = nextMorningValue(j, last) === undefined;
	const age = j.todayN - dayNumber(last.date);
	const why: Reason = {
		code: 'morning.missing',
		met: missing,
		value: age,
		threshold: MORNING_HOURS_DAYS,
		source: PS,
		day: last.date,
		region: j.region
	};
	return missing
		? { fired: true, why: [why], decision: age > MORNING_HOURS_DAYS ? 'hold' : 'wait' }
		: no(why);
}

export const waitMorningRule: ExerciseRule = { rule: 'wait.morning', decision: 'wait', judge: waitMorning };
