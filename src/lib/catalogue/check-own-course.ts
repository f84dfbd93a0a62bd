/** Holds a practice's own courses to what the trade's are held to, over the ladders of the catalogue and its own. */
import { courseFaults, type CourseFault, type OwnCourse } from '../core/fit/course.ts';
import { unlimited } from '../core/fit/stands.ts';
import type { ExerciseFamily } from '../core/exercise/family.ts';
import { usable } from './check-own.ts';
import { FAMILIES } from './families.ts';

/** Faults of own courses, each with its place and the mend; an empty list holds. */
export function checkOwnCourses(
	courses: readonly OwnCourse[],
	own: readonly ExerciseFamily[]
): readonly CourseFault[] {
	const families = { ...FAMILIES, ...Object.fromEntries(usable(own).map((f) => [f.id, f])) };
	const free = unlimited();
	return courses.flatMap((c, i) => [
		...(courses.findIndex((x) => x.id === c.id) < i
			? [{ place: c.id, message: 'two courses share this id; rename one' }]
			: []),
		...courseFaults(c, families, free)
	]);
}
