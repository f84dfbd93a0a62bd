/** Puts to the facts of an exercise what an advance would take: the streak, the ways that are open, and the pace of a review. */
import { dayNumber } from '../../base/calendar-day.ts';
import { waysToAdvance } from '../advance.ts';
import type { Facts } from '../facts.ts';
import { streakConditions } from '../streak.ts';
import type { Reason } from '../trace.ts';
import { PS, type Judged } from './finding.ts';

export function judgedOf(f: Facts): Judged {
	const streak = streakConditions(f);
	const ready = streak.every((r) => r.met);
	return { ...f, streak, ready, ways: waysToAdvance(f), paced: paceOf(f) };
}

function paceOf(f: Facts): Reason | undefined {
	const { policy, input } = f;
	if (input.advancesUsed >= policy.advancesPerReview)
		return {
			code: 'pace.review',
			met: true,
			value: input.advancesUsed,
			threshold: policy.advancesPerReview,
			source: PS
		};
	const last = input.changes
		.filter((c) => c.kind === 'advance')
		.reduce((m, c) => Math.max(m, dayNumber(c.date)), -Infinity);
	const days = f.todayN - last;
	return days < policy.minDaysBetweenAdvances
		? { code: 'pace.days', met: true, value: days, threshold: policy.minDaysBetweenAdvances, source: PS }
		: undefined;
}
