/** No screening, an incomplete or an old one, or eight weeks away since. */
import { dayNumber } from '../../../base/calendar-day.ts';
import type { Facts } from '../../facts.ts';
import type { ClientRule } from '../finding.ts';
import { fact } from './reasons.ts';

/** Away for this long, a client is screened again. @source practice-setting */
const SCREEN_AGAIN_DAYS = 56;

/** Days away after which the client is screened again, where they were not since. */
function longAway(f: Facts, screened: string): number | undefined {
	const last = f.sessions[f.sessions.length - 1];
	if (last === undefined) return undefined;
	const away = f.todayN - dayNumber(last.date);
	return away >= SCREEN_AGAIN_DAYS && dayNumber(screened) < dayNumber(last.date) + SCREEN_AGAIN_DAYS
		? away
		: undefined;
}

export const waitScreenRule: ClientRule = {
	rule: 'wait.screen',
	decision: 'wait',
	judge: (f) => {
		const screening = f.input.client.screening;
		if (screening === undefined) return [fact('screening.missing', 'practice-setting')];
		if (!screening.complete)
			return [fact('screening.incomplete', 'practice-setting', { day: screening.date })];
		const age = f.todayN - dayNumber(screening.date);
		const away = longAway(f, screening.date);
		if (away !== undefined)
			return [fact('away.long', 'practice-setting', { value: away, threshold: SCREEN_AGAIN_DAYS })];
		const old = !(age >= 0 && age <= f.policy.screeningDays);
		return old
			? [
					fact('screening.old', 'practice-setting', {
						value: age,
						threshold: f.policy.screeningDays,
						day: screening.date
					})
				]
			: [];
	}
};
