/** A practice's own course as data: the shape the trade's are written in, strict, so that a misspelt key is named. JSON in, JSON out. */
import { z } from 'zod';
import { COURSE_ORDERS, type OwnCourse } from '#lib/core/fit/course.ts';
import { TAGS } from '#lib/core/exercise/family.ts';
import { line, ownId, stepId } from './own-parts.ts';
import { placeIn, readList, type ReadFault } from './read-list.ts';

const stageStep = z.strictObject({
	step: stepId,
	instead: z.array(stepId).min(1).max(4).exactOptional(),
	rounds: z.literal(true).exactOptional()
});

export const ownCourse = z.strictObject({
	id: ownId,
	title: line(60),
	what: line(200),
	order: z.enum(COURSE_ORDERS, 'Choose an order of the list.'),
	stages: z
		.array(
			z.strictObject({
				id: stepId,
				title: line(40),
				steps: z.array(stageStep).max(12)
			})
		)
		.max(8),
	spares: z.array(z.enum(TAGS)).min(1).max(8).exactOptional(),
	sources: z
		.array(z.enum(['common-practice', 'practice-setting'], 'common-practice or practice-setting.'))
		.min(1),
	retired: z.literal(true).exactOptional()
});

export type ReadCourses =
	| { readonly ok: true; readonly courses: readonly OwnCourse[] }
	| { readonly ok: false; readonly faults: readonly ReadFault[] };

/** Reads a file of one course or a list; every course must hold, or none is taken. */
export function readCourses(file: string): ReadCourses {
	const read = readList<OwnCourse>(file, ownCourse, ['course', 'courses'], placeIn('stages'));
	return read.ok ? { ok: true, courses: read.list } : read;
}
