/** A client's course as the plan shows it, and the forms that begin and leave one. */
import { z } from 'zod';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { CourseOrder, CourseStep } from '#lib/core/fit/course.ts';
import { text, uuid } from './basics.ts';

export interface CourseView {
	readonly id: string;
	readonly title: string;
	readonly what: string;
	readonly order: CourseOrder;
	readonly region: string;
	readonly since: Day;
	/** The stage that is worked on, from 0; null when all are done. */
	readonly now: number | null;
	readonly stages: readonly {
		readonly title: string;
		readonly state: 'done' | 'now' | 'ahead';
		readonly steps: readonly {
			readonly asked: string;
			readonly step: string | null;
			readonly family: string | null;
			readonly because: NonNullable<CourseStep['because']> | null;
			readonly rounds: boolean;
			readonly hurts: boolean;
			readonly clean: boolean;
			/** What its stage asks of it, and what was shown so far. */
			readonly asks: string;
			readonly shown: string;
			/** Gates of its own that still close it; empty where none do. */
			readonly waits: string;
			/** Missing in the plan, and nothing of its own closes it. */
			readonly toGive: boolean;
			/** It stands in the plan. */
			readonly given: boolean;
		}[];
	}[];
}

export const startCourseForm = z.object({
	id: uuid,
	course: text(60).min(1, 'Choose a course.'),
	region: text(40).min(1, 'Choose the region it is for.'),
	basedOn: z.union([z.literal(''), uuid]).default('')
});
export const leaveCourseForm = z.object({ id: uuid, basedOn: uuid });
