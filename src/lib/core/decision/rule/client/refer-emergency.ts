/** Told emergencies, mornings and open flags of that urgency. Unknown is not no: an unanswered question of the saddle area counts as yes. */
import { dayNumber } from '../../../base/calendar-day.ts';
import { alarmsInSession } from '../../../safety/alarm.ts';
import type { Session } from '../../../session/record.ts';
import type { Facts } from '../../facts.ts';
import type { Reason } from '../../trace.ts';
import type { ClientRule } from '../finding.ts';
import { fact, flagFact, hotMornings, openRed } from './reasons.ts';

/** Emergencies told in a session. Unknown is not no: an unanswered question of the saddle area counts as yes. */
function emergencyIn(f: Facts, s: Session): Reason[] {
	const back =
		f.region.startsWith('back') || Object.keys(f.input.client.usual).some((r) => r.startsWith('back'));
	return alarmsInSession(s, f.region, back)
		.filter((a) => a.now === 'emergency')
		.map((a) =>
			a.alarm === 'emergency-saddle-area'
				? fact('symptom.cauda-equina', 'red-flags-common', { day: s.date, value: s.caudaEquina ?? 'unknown' })
				: fact(
						`symptom.${a.alarm.replace('emergency-', '').replace('pregnancy', 'pregnancy-stop')}`,
						'red-flags-common',
						{ day: s.date, value: a.alarm }
					)
		);
}

export const referEmergencyRule: ClientRule = {
	rule: 'refer.emergency',
	decision: 'refer',
	judge: (f) => {
		const cleared = f.input.client.clearedOn === undefined ? -Infinity : dayNumber(f.input.client.clearedOn);
		const told = f.sessions.filter((s) => dayNumber(s.date) > cleared).flatMap((s) => emergencyIn(f, s));
		return [
			...told,
			...hotMornings(f, 'emergency-hot-joint'),
			...openRed(f)
				.filter((x) => x.urgency === 'emergency')
				.map(flagFact)
		];
	}
};
