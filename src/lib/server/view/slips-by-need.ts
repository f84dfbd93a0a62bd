/** The slips of one client, the most pressing first. What is answered sinks below what waits for an answer; a referral never sinks. */
import { daysBetween, type Day } from '#lib/core/base/calendar-day.ts';
import type { Decision } from '#lib/core/decision/trace.ts';
import { advancesToday, lastSessionDay } from '../record/facts-of.ts';
import { oncePerDay } from '../record/found-once.ts';
import { hashOf, slipOf, type Slip } from '../record/slip-of.ts';
import type { ClientRecord } from '../record/load.ts';

export interface NeededSlip extends Slip {
	readonly answered: boolean;
	/** Smaller is more pressing; comparable between clients. */
	readonly rank: number;
}

const RANK: Readonly<Record<Decision, number>> = {
	refer: 0,
	stop: 1,
	regress: 2,
	wait: 5,
	hold: 6,
	advance: 4
};
const FLARE_RANK = 2.5;
const REVIEW_RANK = 2.2;
const SILENT_RANK = 4.5;
const ANSWERED = 10;
/** Without a session for longer than this, somebody asks. @source practice-setting */
export const SILENT_DAYS = 7;

/** Does a slip wait for somebody's answer? One that only waits for a morning or a measurement does not. */
export const waitsForAnswer = (answered: boolean, decision: Decision): boolean =>
	!answered && decision !== 'wait';

export const silentDays = (r: ClientRecord, today: Day): number => {
	const last = lastSessionDay(r);
	return last === undefined ? 0 : Math.max(0, daysBetween(last, today));
};

function rankOf({ rule, decision }: Slip['trace'], silent: boolean): number {
	if (rule === 'hold.flare') return FLARE_RANK;
	if (rule === 'wait.review') return REVIEW_RANK;
	return silent ? Math.min(SILENT_RANK, RANK[decision]) : RANK[decision];
}

export const slipsByNeed = oncePerDay((r, today): readonly NeededSlip[] => {
	const used = advancesToday(r, today);
	const silent = silentDays(r, today) > SILENT_DAYS;
	return r.exercises
		.map((e): NeededSlip => {
			const slip = slipOf(r, e, today, used);
			const done = e.answered !== undefined && e.answered === hashOf(slip);
			const own = rankOf(slip.trace, silent);
			return {
				...slip,
				answered: done,
				rank: done && slip.trace.decision !== 'refer' ? ANSWERED + own : own
			};
		})
		.sort((a, b) => a.rank - b.rank);
});
