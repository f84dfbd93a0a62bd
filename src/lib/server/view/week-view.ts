/** The week of a client: what is signed, or a proposal from what stands, the days and the minutes there are. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { changedSince } from '#lib/core/plan/signed-week.ts';
import { weekOf } from '#lib/core/plan/week.ts';
import type { WeekAskedFor } from '#lib/contract/week-form.ts';
import type { WeekDayView, WeekView } from '#lib/contract/week-view.ts';
import { standingSentence } from '#lib/wording/safety.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { standingOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { coolDownsOf, lastWeekLoad, signedTurns, standingAs, warmUpsOf, workIn } from '../record/week-of.ts';

const WEEK = [0, 1, 2, 3, 4, 5, 6] as const;

/** Weekdays from the first of the week. */
export const weekFrom = (first: number): readonly number[] => WEEK.map((d) => (d + first) % 7);

const HELD = {
	stopped: 'stopped by its slip',
	'set-aside': 'set aside',
	ended: 'ended',
	active: ''
} as const;

const heldOutOf = (r: ClientRecord, today: Day): WeekView['heldOut'] =>
	r.exercises.flatMap((e) => {
		const { head } = effectiveChain(e.prescriptions);
		const { title } = head.snapshot;
		if (head.state !== 'active') return [{ title, because: HELD[head.state] }];
		const stands = standingOf(r, e, today);
		return stands?.verdict === 'suspended' ? [{ title, because: standingSentence(stands) }] : [];
	});

export function weekView(r: ClientRecord, today: Day, asked: WeekAskedFor, weekStart: number): WeekView {
	const { week } = r.head;
	const planned = workIn(r, today);
	const warmUps = warmUpsOf(r, today);
	const coolDowns = coolDownsOf(r, today);
	const order = weekFrom(weekStart);
	const proposed = week === null || asked.anew;
	const proposal = weekOf({
		work: planned,
		days: asked.days.map((d) => order.indexOf(d)),
		learning: asked.learning,
		minutes: asked.minutes,
		school: asked.school,
		inTurn: asked.inTurn,
		warmUps,
		coolDowns
	});
	const all = new Map([...warmUps, ...coolDowns, ...planned].map((w) => [w.id, w]));
	const days = proposed
		? proposal.days.map((d) => ({ weekday: order[d.day] as number, turns: d.turns }))
		: signedTurns(week, all);
	const turnsOn = (weekday: number): WeekDayView['turns'] =>
		(days.find((d) => d.weekday === weekday)?.turns ?? []).map((turn) => turn.map((w) => w.id));
	return {
		signed:
			week === null
				? null
				: { id: week.id, day: week.day, changed: changedSince(week, standingAs(r, today)) },
		proposed,
		asked: proposed
			? asked
			: {
					...asked,
					days: week.days.map((d) => d.weekday),
					school: week.school,
					inTurn: week.inTurn,
					learning: week.learning,
					minutes: week.minutes
				},
		days: order.map((weekday) => ({ weekday, turns: turnsOn(weekday) })),
		work: [...all.values()],
		gaveWay: proposed
			? proposal.gaveWay.map(({ work, wanted, kept }) => ({ title: work.title, wanted, kept }))
			: [],
		tooFewDays: proposed && proposal.tooFewDays,
		heldOut: heldOutOf(r, today),
		lastWeek: lastWeekLoad(r, today),
		inParts: proposed && proposal.days.some((d) => !d.exact)
	};
}
