/** A client's course as the plan shows it: its stages with their steps in the order of the school, what is given, what waits, what stands in. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { inOrder, type CourseStep } from '#lib/core/fit/course.ts';
import type { CourseView } from '#lib/contract/course-view.ts';
import { stepOf } from '#lib/core/exercise/family.ts';
import { asksGates, farthestOn } from '#lib/core/safety/closed.ts';
import { gateText } from '#lib/wording/gates.ts';
import { courseOf } from '../record/course-of.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { stepsOn } from '../record/facts-of.ts';
import { gatesOf } from '../record/gates-of.ts';
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
	if (!asksGates(family, step.id, farthestOn(family, stepsOn(r, family.id, region)))) return '';
	return gatesOf(r, step, today)
		.filter((g) => !g.met && g.gate.kind !== 'stage')
		.map(gateText)
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
	const seen = (s: CourseStep): CourseView['stages'][number]['steps'][number] => ({
		asked: s.asked,
		step: s.step ?? null,
		family: s.family ?? null,
		because: s.because ?? null,
		rounds: s.rounds,
		hurts: s.hurts,
		clean: s.clean,
		asks: asksOf(s),
		shown: s.shown,
		given: s.step !== undefined && given.has(s.step),
		waits: waitsOf(r, s, on.region, today)
	});
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
