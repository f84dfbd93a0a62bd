/** The course a client is on and where they stand on it: judged from what they have shown, what fits them now, and what hurts. */
import { courseAmong } from '#lib/catalogue/courses.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import {
	courseStanding,
	waitsForStage,
	type Course,
	type CourseStanding,
	type Stage
} from '#lib/core/fit/course.ts';
import { effectiveChain } from './effective-chain.ts';
import { fitContextOf } from './fit-of.ts';
import type { ClientRecord } from './load.ts';
import { gateFactsOf, shownOf } from './shown-of.ts';

export interface OnCourse {
	readonly id: string;
	readonly course: Course;
	readonly region: string;
	readonly since: Day;
	readonly standing: CourseStanding;
}

/** Steps that are stopped or set aside by their slip, and those that were gone back from and not reached again. */
export function hurting(r: ClientRecord): ReadonlySet<string> {
	const out = new Set<string>();
	for (const e of r.exercises) {
		const { head, changes } = effectiveChain(e.prescriptions);
		if (head.state === 'stopped' || (head.state === 'set-aside' && head.decisionId !== null))
			out.add(head.step);
		const last = changes.at(-1);
		if (last?.kind === 'regress' && last.from !== undefined && last.from.step !== head.step)
			out.add(last.from.step);
	}
	return out;
}

const known = new WeakMap<ClientRecord, Map<Day, OnCourse | undefined>>();

/** Undefined where the client is on none, or on one that this version does not know. Judged once a record and day. */
export function courseOf(r: ClientRecord, today: Day): OnCourse | undefined {
	const days = known.get(r) ?? new Map<Day, OnCourse | undefined>();
	known.set(r, days);
	if (days.has(today)) return days.get(today);
	const on = r.head.course;
	const course = on === null ? undefined : courseAmong(r.room.courses, on.course);
	const found =
		on === null || course === undefined
			? undefined
			: {
					id: on.id,
					course,
					region: on.region,
					since: on.day,
					standing: courseStanding(course, {
						families: r.families,
						ctx: fitContextOf(r, today),
						shown: shownOf(r),
						gates: gateFactsOf(r),
						hurting: hurting(r)
					})
				};
	days.set(today, found);
	return found;
}

/** The stage that a step waits for on this client's course. */
export function stageBefore(
	r: ClientRecord,
	today: Day,
	step: string
): { readonly course: Course; readonly stage: Stage } | undefined {
	const on = courseOf(r, today);
	const stage = on === undefined ? undefined : waitsForStage(on.standing, step);
	return on === undefined || stage === undefined ? undefined : { course: on.course, stage };
}
