/** Courses in words: the orders of their schools, and why a step gives way. */
import type { CourseOrder, CourseStep } from '#lib/core/fit/course.ts';

export const ORDER_NAME: Readonly<Record<CourseOrder, string>> = {
	'isolated-first': 'isolated work first',
	'rolling-first': 'rolling first',
	'standing-then-floor': 'standing, then the floor',
	learning: 'in the order it is learnt'
};

export const BECAUSE_NAME: Readonly<Record<NonNullable<CourseStep['because']>, string>> = {
	'left-out': 'left out for this client',
	blocked: 'does not fit',
	unmeasured: 'not measured'
};
