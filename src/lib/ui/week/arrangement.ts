/** A week as it is arranged on the page: days with turns of work, moved by hand. Pure. */
import { budgetOfDays, arrangedSec } from '#lib/core/plan/week.ts';
import type { Budget } from '#lib/core/plan/budget.ts';
import { inTurnOf } from '#lib/core/plan/signed-week.ts';
import type { Work } from '#lib/core/plan/work.ts';
import type { WeekSigned } from '#lib/contract/week-form.ts';
import type { WeekDayView } from '#lib/contract/week-view.ts';

/** One turn of a day, with an id of its own among all days: the library that drags wants one. */
export interface Turn {
	readonly id: string;
	readonly ids: readonly string[];
}
export interface ArrangedDay {
	readonly weekday: number;
	readonly turns: readonly Turn[];
}

export const arranged = (days: readonly WeekDayView[]): readonly ArrangedDay[] =>
	days.map(({ weekday, turns }) => ({
		weekday,
		turns: turns.map((ids) => ({ id: `${weekday}:${ids.join('+')}`, ids }))
	}));

export const turnsOf = (day: ArrangedDay, work: ReadonlyMap<string, Work>): readonly (readonly Work[])[] =>
	day.turns.map((t) => t.ids.flatMap((id) => work.get(id) ?? [])).filter((t) => t.length > 0);

export const secondsOf = (day: ArrangedDay, work: ReadonlyMap<string, Work>): number =>
	arrangedSec(turnsOf(day, work));

export const budgetOfWeek = (days: readonly ArrangedDay[], work: ReadonlyMap<string, Work>): Budget =>
	budgetOfDays(days.map((d) => ({ turns: turnsOf(d, work) })));

/** Of days that were ordered anew, those that take less time than they do now; a second more or less is none. */
export const shorterThan = (
	now: readonly ArrangedDay[],
	anew: readonly ArrangedDay[],
	work: ReadonlyMap<string, Work>
): readonly ArrangedDay[] =>
	anew.filter((d) => {
		const before = now.find((x) => x.weekday === d.weekday);
		return before !== undefined && secondsOf(d, work) < secondsOf(before, work) - 1;
	});

/** A day holds an exercise once. */
export const holdsTwice = (day: Pick<ArrangedDay, 'turns'>): boolean => {
	const ids = day.turns.flatMap((t) => t.ids);
	return new Set(ids).size !== ids.length;
};

/** As the form sends it; a day off is left out. */
export const signedDays = (days: readonly ArrangedDay[]): WeekSigned['days'] =>
	days
		.filter((d) => d.turns.length > 0)
		.map(({ weekday, turns }) => ({ weekday, turns: turns.map((t) => t.ids.map(inTurnOf)) }));
