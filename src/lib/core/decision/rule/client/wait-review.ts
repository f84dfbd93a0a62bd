/** What a licensed user looks at first: a high usual, a long flare, a third setting aside, swelling or pain on two mornings, a flag for review. */
import { dayOf } from '../../../base/calendar-day.ts';
import { flagReaches } from '../../../safety/alarm.ts';
import type { Facts } from '../../facts.ts';
import { closesRegion, zonesOf } from '../../pain-zones.ts';
import type { Reason } from '../../trace.ts';
import { swellingRank } from '../../usual.ts';
import type { ClientRule } from '../finding.ts';
import { fact, RECENT_DAYS } from './reasons.ts';

const REVIEW_USUAL = 6;
const FLARE_REVIEW_DAYS = 7;
const SET_ASIDE_REVIEW = 3;

/** Clearly more swelling on two mornings running, the later within a week. */
function swollenTwice(f: Facts): Reason[] {
	const swollen = f.series.days.filter(
		(n) => f.todayN - n <= RECENT_DAYS && swellingRank(f.series.at.get(n) as never) >= 2
	);
	const twice = swollen.find((n) => swollen.includes(n - 1));
	return twice === undefined
		? []
		: [fact('swelling.twice', 'practice-setting', { region: f.region, day: dayOf(twice) })];
}

/** Pain that closed the region on two mornings running: at the stop line, or usual + 3 and above acceptable. */
function closedTwice(f: Facts): Reason[] {
	const zones = zonesOf(f, f.region);
	const closes = (n: number): boolean =>
		closesRegion(f.series.at.get(n)?.pain, f.series.usualOn(n).value, zones);
	const days = f.series.days.filter((n) => f.todayN - n <= RECENT_DAYS && closes(n) && closes(n - 1));
	const last = days[days.length - 1];
	return last === undefined
		? []
		: [
				fact('pain.closed-twice', 'practice-setting', {
					region: f.region,
					day: dayOf(last),
					value: f.series.at.get(last)?.pain ?? null
				})
			];
}

export const waitReviewRule: ClientRule = {
	rule: 'wait.review',
	decision: 'wait',
	judge: (f) => {
		const out: Reason[] = [];
		if (f.usual.value >= REVIEW_USUAL)
			out.push(
				fact('usual.high', 'practice-setting', {
					value: f.usual.value,
					threshold: REVIEW_USUAL,
					region: f.region
				})
			);
		for (const [region, u] of Object.entries(f.input.client.usual))
			if (region !== f.region && (u.intake ?? 0) >= REVIEW_USUAL)
				out.push(
					fact('usual.high', 'practice-setting', {
						value: u.intake ?? null,
						threshold: REVIEW_USUAL,
						region
					})
				);
		if (f.state.flareDays > FLARE_REVIEW_DAYS)
			out.push(
				fact('flare.long', 'practice-setting', { value: f.state.flareDays, threshold: FLARE_REVIEW_DAYS })
			);
		const aside = f.input.changes.filter((c) => c.kind === 'set-aside').length;
		if (aside >= SET_ASIDE_REVIEW)
			out.push(fact('set-aside.third', 'practice-setting', { value: aside, threshold: SET_ASIDE_REVIEW }));
		out.push(...swollenTwice(f), ...closedTwice(f));
		for (const x of f.input.client.flags)
			if (x.open && x.severity === 'review' && flagReaches(x, f.region))
				out.push(fact('flag.review', 'practice-setting', { value: x.id }));
		return out;
	}
};
