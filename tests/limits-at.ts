/** How a step fits when its ranges were measured so many days ago, for a policy that believes them 28. */
import { FAMILIES } from '#lib/catalogue/families.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { stepOf, type ExerciseFamily } from '#lib/core/exercise/family.ts';
import { fitStep, type Verdict } from '#lib/core/fit/fit.ts';
import { context, envelope } from './standing.ts';

export function stepFit(daysAgo: number): Verdict {
	const squat = FAMILIES.squat as ExerciseFamily;
	const ctx = context({ envelope: envelope(140, addDays('2026-03-12', -daysAgo)) });
	const step = stepOf(squat, 'standard-seat');
	if (step === undefined) throw new Error('no seat');
	return fitStep(step, ctx).verdict;
}
