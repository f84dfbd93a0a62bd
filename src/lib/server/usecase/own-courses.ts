/** A practice's own courses: read, saved and imported as data; all of a file or none. Appended, never overwritten; whoever is on one follows its new version. */
import { checkOwnCourses } from '#lib/catalogue/check-own-course.ts';
import { readCourses } from '#lib/contract/own-course.ts';
import { lineOfPlace, MOST_FAULTS, type ReadFault } from '#lib/contract/read-list.ts';
import { ok } from '#lib/core/base/result.ts';
import type { OwnCourse } from '#lib/core/fit/course.ts';
import { append } from '../db/append.ts';
import { ownCourseRows } from '../repo/own-course-repo.ts';
import { ownFamilyRows } from '../repo/own-family-repo.ts';
import { allow, conflict, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';
import { newId } from './new-id.ts';

export interface StandingCourse {
	readonly course: OwnCourse;
	/** Clients who are on it now. */
	readonly clients: number;
}

export async function ownCourses(ctx: Context): Promise<Outcome<readonly StandingCourse[]>> {
	const may = allow(ctx.actor, 'show client');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) =>
		ok((await ownCourseRows(t)).map(({ course, clients }) => ({ course, clients })))
	);
}

export type SavedCourses = { readonly saved: readonly string[] } | { readonly faults: readonly ReadFault[] };

/** Saves the courses of a file. Faults are an answer, each with its line and mend; nothing is saved then. */
export const saveCourses = (ctx: Context, file: string): Promise<Outcome<SavedCourses>> =>
	saved(ctx, { id: newId(ctx.now), file });

const saved = command<{ readonly id: string; readonly file: string }, SavedCourses>({
	verb: 'write own steps',
	id: (s) => s.id,
	keeps: (s) => 'saved' in s,
	// What waits for a stage waits by its new version, for everybody who is on it.
	everybody: true,
	run: async ({ file }, { t, ctx }) => {
		const read = readCourses(file);
		if (!read.ok) return ok({ faults: read.faults });
		const faults = checkOwnCourses(
			read.courses,
			(await ownFamilyRows(t)).map((f) => f.family)
		);
		if (faults.length > 0)
			return ok({
				faults: faults
					.slice(0, MOST_FAULTS)
					.map((f) => ({ ...f, line: lineOfPlace(file, read.courses, 'stages', f.place) }))
			});
		const standing = await ownCourseRows(t);
		for (const course of read.courses) {
			const before = standing.find((s) => s.course.id === course.id);
			const written = await append(t, 'own_course', {
				id: newId(ctx.now),
				course: course.id,
				content: JSON.stringify(course),
				local_day: ctx.today,
				...(before === undefined ? {} : { replaces_id: before.rowId, reason: 'changed' })
			});
			if (written === 'conflict') return conflict('Somebody saved this course meanwhile; reload to see it.');
		}
		return ok({ saved: read.courses.map((c) => c.title) });
	}
});
