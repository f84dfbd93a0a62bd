/** Weeks that the physiotherapist signed: as they were proposed, for some clients of the demo. */
import { addDays, weekday, type Day } from '#lib/core/base/calendar-day.ts';
import { weekAsked } from '#lib/contract/week-form.ts';
import { inTurnOf } from '#lib/core/plan/signed-week.ts';
import { loadRecords } from '#lib/server/record/load.ts';
import type { Context } from '#lib/server/usecase/actor.ts';
import { signWeek } from '#lib/server/usecase/sign-week.ts';
import { weekView } from '#lib/server/view/week-view.ts';

/** Every other day from today on, so that the demo's day is one of them. */
const daysFrom = (today: Day): readonly number[] => [0, 2, 4].map((n) => weekday(addDays(today, n)));

/** @param as the physiotherapist on a day; weeks were signed two days ago */
export async function signWeeks(
	as: (day: Day) => Context,
	today: Day,
	names: readonly string[],
	idOn: (day: Day) => string
): Promise<void> {
	const day = addDays(today, -2);
	const ctx = as(day);
	const records = await ctx.inPractice((t) => loadRecords(t));
	for (const r of records.filter((x) => names.some((n) => x.head.name.startsWith(n)))) {
		const asked = weekAsked(new URLSearchParams(), { minutes: 25, days: daysFrom(today) });
		const view = weekView(r, day, asked, 1);
		const days = view.days
			.filter((d) => d.turns.length > 0)
			.map(({ weekday: on, turns }) => ({
				weekday: on,
				turns: turns.map((turn) => turn.map(inTurnOf))
			}));
		if (days.length === 0) continue;
		const { school, inTurn, learning, minutes } = asked;
		const done = await signWeek(
			ctx,
			{
				id: idOn(day),
				clientId: r.head.id,
				basedOn: null,
				week: { school, inTurn, learning, minutes, days }
			},
			new Date(`${day}T16:00:00Z`)
		);
		if (!done.ok) throw new Error(`${r.head.name}: ${done.refusal.message}`);
	}
}
