/** A client's course as the plan shows it: its stages with their steps in the order of the school, what is given, what waits, what stands in. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { inOrder, type CourseStep } from '#lib/core/fit/course.ts';
import type { CourseView } from '#lib/contract/course-view.ts';
import { stepOf } from '#lib/core/exercise/family.ts';
import { courseOf } from '../record/course-of.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { unmetGates } from '../record/gates-of.ts';
import type { ClientRecord } from '../record/load.ts';

/** The dose that its stage asks clean; of a hold the seconds on each side. */
function asksOf({ gate }: CourseStep): string {
	if (gate?.kind === 'held') return `${gate.sec} s each side`;
	return gate?.kind === 'clean-reps' ? `${gate.sets}×${gate.reps} clean` : '';
}

/** The gates that still close a step for the region, in words; none of a step that was reached. */
function waitsOf(r: ClientRecord, s: CourseStep, region: string, today: Day): string {
	const family = s.family === undefined ? undefined : r.families[s.family];
	const step = family === undefined || s.step === undefined ? undefined : stepOf(family, s.step);
	if (family === undefined || step === undefined) return '';
	return unmetGates(r, family, step, region, today)
		.filter((g) => g.gate.kind !== 'stage')
		.map((g) => g.text)
		.join('; ');
}

export function courseView(r: ClientRecord, today: Day): CourseView | null {
	const on = courseOf(r, today);
	if (on === undefined) return null;
	const given = new Set(
		r.exercises
			.map((e) => effectiveChain(e.prescriptions).head)
			.filter((h) => h.state === 'active')
			.map((h) => h.step)
	);
	const seen = (s: CourseStep): CourseView['stages'][number]['steps'][number] => {
		const waits = waitsOf(r, s, on.region, today);
		const inPlan = s.step !== undefined && given.has(s.step);
		return {
			asked: s.asked,
			step: s.step ?? null,
			family: s.family ?? null,
			because: s.because ?? null,
			rounds: s.rounds,
			hurts: s.hurts,
			clean: s.clean,
			asks: asksOf(s),
			shown: s.shown,
			given: inPlan,
			waits,
			toGive: s.step !== undefined && !inPlan && !s.clean && !s.hurts && waits === ''
		};
	};
	return {
		id: on.id,
		title: on.course.title,
		what: on.course.what,
		order: on.course.order,
		region: on.region,
		since: on.since,
		now: on.standing.now ?? null,
		stages: on.standing.stages.map(({ stage, state, steps }) => ({
			title: stage.title,
			state,
			steps: inOrder(on.course, steps, r.families).map(seen)
		}))
	};
}
