/** Goals as a page shows them: scores, the change that counts, and the distance by ladder or by the range daily life asks. */
import { activity } from '#lib/catalogue/activities.ts';
import { ACTIVITY_CHANGES, ACTIVITY_MEAN_CHANGES } from '#lib/catalogue/change-rules.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { SIDES } from '#lib/core/body/axis.ts';
import { activityMean, taskAnswer, taskRanges, type Goal } from '#lib/core/client/goal.ts';
import { goalDistance } from '#lib/core/fit/goal-distance.ts';
import { changeOf } from '#lib/core/measure/change.ts';
import type { GoalView, MeanView } from '#lib/contract/view.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { envelopeOf } from '../record/evidence-of.ts';
import { fitContextOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { regionsOf } from '../record/facts-of.ts';

/** Error of one reading, in which a short range is borderline. @source boone-1978 */
const READING_ERROR = 4;

export function goalViews(r: ClientRecord, goals: readonly Goal[], today: Day): readonly GoalView[] {
	const ctx = fitContextOf(r, today);
	const population = regionsOf(r).some((x) => x.startsWith('knee')) ? 'knee' : undefined;
	return goals.map((g): GoalView => {
		const family = g.point === null ? undefined : r.families[g.point.family];
		const exercise = r.exercises.find((e) => e.family === g.point?.family);
		const current = exercise === undefined ? undefined : effectiveChain(exercise.prescriptions).head;
		const first = g.scores[0];
		const sides = g.side === null ? SIDES : [g.side];
		return {
			...g,
			change:
				first === undefined || g.scores.length < 2
					? null
					: changeOf({ from: first.score, to: g.score, better: 'higher' }, ACTIVITY_CHANGES, population),
			distance:
				family === undefined || g.point === null
					? null
					: (goalDistance(family, g.point, current, ctx) ?? null),
			ranges: (activity(g.activity)?.demands ?? []).map((d) => {
				const all = taskRanges(d, envelopeOf(r, today), sides, READING_ERROR);
				const answer = taskAnswer(all);
				return { source: d.source, answer, worst: [...all].sort((a, b) => b.short - a.short)[0] ?? null };
			})
		};
	});
}

/** The mean of all goals, first scores against today's; null with nothing to compare. */
export function goalMean(goals: readonly Goal[], regions: readonly string[]): MeanView | null {
	const both = goals.filter((g) => g.scores.length > 1);
	const first = activityMean(both.map((g) => g.scores[0]?.score ?? 0));
	const now = activityMean(both.map((g) => g.score));
	if (first === undefined || now === undefined) return null;
	const population = regions.some((x) => x.startsWith('knee'))
		? 'knee'
		: regions.some((x) => x.startsWith('back'))
			? 'back'
			: 'musculoskeletal';
	return {
		first,
		now,
		change: changeOf({ from: first, to: now, better: 'higher' }, ACTIVITY_MEAN_CHANGES, population)
	};
}
