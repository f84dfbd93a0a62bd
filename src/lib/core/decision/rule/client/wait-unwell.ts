/** Fever or illness, until the next clean arrival; an illness noted for a day, on that day. */
import { dayNumber } from '../../../base/calendar-day.ts';
import type { Facts } from '../../facts.ts';
import type { Reason } from '../../trace.ts';
import type { ClientRule } from '../finding.ts';
import { cleanAfter, fact } from './reasons.ts';

/** Fever or illness, until the next clean arrival; an illness noted for a day, on that day. */
function unwell(f: Facts): Reason[] {
	const arrived = (f.input.client.arrivals ?? []).filter((a) => a.unwell).map((a) => a.date);
	const mornings = f.input.mornings.filter((m) => m.fever === true).map((m) => m.date);
	const ill = (f.input.events ?? [])
		.filter((e) => e.kind === 'illness' && dayNumber(e.date) === f.todayN)
		.map((e) => e.date);
	const days = [...arrived, ...mornings, ...ill].filter((d) => dayNumber(d) <= f.todayN).sort();
	const last = days[days.length - 1];
	return last === undefined || cleanAfter(f, last)
		? []
		: [fact('arrival.unwell', 'practice-setting', { day: last })];
}

export const waitUnwellRule: ClientRule = { rule: 'wait.unwell', decision: 'wait', judge: (f) => unwell(f) };
