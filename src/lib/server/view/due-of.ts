/** What is due with a client besides their slips, each in words. Pure; how long a client has been silent is said when it is read. */
import { addDays, type Day } from '#lib/core/base/calendar-day.ts';
import { eveningsSpokenOf, linkDue, withoutMorning, type Due } from '#lib/core/client/due.ts';
import { closesRegion } from '#lib/core/decision/pain-zones.ts';
import { screenDue } from '#lib/core/client/screening.ts';
import { changedSince } from '#lib/core/plan/signed-week.ts';
import { shortDay } from '#lib/wording/days.ts';
import { regionName } from '#lib/wording/names.ts';
import { LINK_DUE, morningsMissing } from '#lib/wording/due.ts';
import { linesOf, staleRanges, usualNow } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { SCREEN_SOON_DAYS } from '../record/valid-until.ts';
import { standingAs } from '../record/week-of.ts';

export interface DueNote {
	readonly what: Due;
	readonly text: string;
}

/** A week is owed where one was signed and the plan is another now, or where a client's own page shows exercises and no days. */
function weekDue(r: ClientRecord, today: Day): readonly DueNote[] {
	const { week, link } = r.head;
	if (week === null && link === null) return [];
	const stands = standingAs(r, today);
	if (week === null)
		return Object.keys(stands).length === 0 ? [] : [{ what: 'week', text: 'no week signed for their page' }];
	return changedSince(week, stands).length === 0
		? []
		: [{ what: 'week', text: 'plan changed since the week was signed' }];
}

function linkNote(r: ClientRecord, today: Day): readonly DueNote[] {
	const { link } = r.head;
	const due = link === null ? null : linkDue(link, today);
	return link === null || due === null ? [] : [{ what: 'link', text: LINK_DUE[due](link) }];
}

function screeningDue(r: ClientRecord, today: Day): readonly DueNote[] {
	if (r.head.screening === null) return [];
	const due = screenDue(r.head.screening.date, r.policy.screeningDays);
	return due < addDays(today, SCREEN_SOON_DAYS)
		? [{ what: 'screening', text: `screening due ${shortDay(due)}` }]
		: [];
}

/** An evening that would have closed its region, until somebody could have acted on it: the day after. */
function eveningNotes(r: ClientRecord, today: Day): readonly DueNote[] {
	return eveningsSpokenOf(r.told, today)
		.filter((x) => closesRegion(x.pain, usualNow(r, x.region, x.date), linesOf(r)))
		.map((x) => ({
			what: 'evening',
			text: `${regionName(x.region)} ${x.pain} ${x.date === today ? 'this evening' : 'yesterday evening'}`
		}));
}

export function dueOf(r: ClientRecord, today: Day): readonly DueNote[] {
	const missing = withoutMorning(
		r.logs.map((l) => l.session.date),
		r.mornings.map((m) => m.date),
		today
	);
	const review = r.head.limits.some((l) => l.reviewOn !== null && l.reviewOn <= today);
	return [
		...eveningNotes(r, today),
		...weekDue(r, today),
		...(missing.length === 0 ? [] : [{ what: 'morning' as const, text: morningsMissing(missing) }]),
		...linkNote(r, today),
		...(staleRanges(r, today).length === 0 ? [] : [{ what: 'retest' as const, text: 'retest due' }]),
		...screeningDue(r, today),
		...(review ? [{ what: 'limit' as const, text: 'protocol limit up for review' }] : [])
	];
}
