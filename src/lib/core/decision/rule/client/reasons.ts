/** Reasons that several rules of a client give. */
import { dayNumber } from '../../../base/calendar-day.ts';
import { alarmsInMorning, flagReaches, type AlarmId } from '../../../safety/alarm.ts';
import type { Facts } from '../../facts.ts';
import type { OpenFlag } from '../../input.ts';
import type { ReasonCode } from '../../reason-code.ts';
import type { Reason } from '../../trace.ts';

/** Days back that count as recent. */
export const RECENT_DAYS = 7;

export const fact = (code: ReasonCode, source: string, extra: Partial<Reason> = {}): Reason => ({
	code,
	met: true,
	source,
	...extra
});

export const openRed = (f: Facts): readonly OpenFlag[] =>
	f.input.client.flags.filter((x) => x.open && x.severity === 'red' && flagReaches(x, f.region));
export const flagFact = (x: OpenFlag): Reason =>
	fact('flag.open', 'red-flags-common', { value: x.id, ...(x.region ? { region: x.region } : {}) });

/** Was a flag of this code closed on or after a day? */
export const closedSince = (f: Facts, id: string, day: string): boolean =>
	f.input.client.flags.some((x) => x.id === id && !x.open && x.closedOn !== undefined && x.closedOn >= day);

/** Alarms that a morning can raise and that refer. */
type MorningAlarm = Extract<AlarmId, 'hot-joint' | 'emergency-hot-joint' | 'calf-swelling'>;

/** Mornings that raised an alarm which nobody has closed since. */
export const hotMornings = (f: Facts, alarm: MorningAlarm): Reason[] =>
	f.input.mornings
		.filter(
			(m) =>
				m.region === f.region &&
				dayNumber(m.date) <= f.todayN &&
				!closedSince(f, alarm, m.date) &&
				alarmsInMorning(m).some((a) => a.alarm === alarm)
		)
		.map((m) => fact(`morning.${alarm}`, 'red-flags-common', { day: m.date, region: m.region }));

export const cleanAfter = (f: Facts, day: string): boolean =>
	f.input.client.arrivals?.some((a) => a.clean && a.date > day && dayNumber(a.date) <= f.todayN) === true;
