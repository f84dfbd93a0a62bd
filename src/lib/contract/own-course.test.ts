/** Own courses as data: the trade's own pass as they are, and each way to write one wrong is named with its place and mend. Common practice. */
import { describe, expect, it } from 'vitest';
import { checkOwnCourses } from '#lib/catalogue/check-own-course.ts';
import { COURSES } from '#lib/catalogue/courses.ts';
import type { OwnCourse } from '#lib/core/fit/course.ts';
import { readCourses } from './own-course.ts';

const file = (x: unknown): string => JSON.stringify(x, null, 2);
const own = (patch: Partial<OwnCourse> = {}): OwnCourse => ({
	id: 'own-hips',
	title: 'Our hips',
	what: 'Side of the hip first, then one leg.',
	order: 'standing-then-floor',
	sources: ['practice-setting'],
	stages: [
		{ id: 'side', title: 'Side', steps: [{ step: 'clamshell', instead: ['wall-press'] }] },
		{ id: 'one', title: 'One leg', steps: [{ step: 'single-leg-bridge' }] }
	],
	...patch
});
const wrong = (...courses: readonly OwnCourse[]): string => {
	const read = readCourses(file(courses));
	return (read.ok ? checkOwnCourses(read.courses, []) : read.faults)
		.map((f) => `${f.place}: ${f.message}`)
		.join('\n');
};

describe('an own course', () => {
	it('is of the shape the trade writes, and goes out as it came in', () => {
		for (const c of COURSES) {
			const mine = { ...c, id: `own-${c.id}`, sources: ['common-practice'] as const };
			const read = readCourses(file(mine));
			expect(read, c.id).toEqual({ ok: true, courses: [mine] });
			expect(wrong(mine), c.id).toBe('');
		}
	});
	it('may be a list, all of it or nothing', () => {
		expect(readCourses(file([own(), own({ id: 'own-other' })])).ok).toBe(true);
		expect(readCourses(file([own(), own({ id: 'hips' })]))).toMatchObject({
			ok: false,
			faults: [{ line: expect.any(Number) as number, place: 'hips: id' }]
		});
		expect(wrong(own(), own())).toContain('two courses share this id; rename one');
	});
	it('names the line of a misspelt key, and what is no JSON', () => {
		const text = file(own()).replace('"steps": [', '"step": [');
		const read = readCourses(text);
		expect(read.ok).toBe(false);
		if (read.ok) return;
		expect(text.split('\n')[(read.faults[0]?.line ?? 0) - 1]).toContain('"step": [');
		expect(read.faults[0]?.place).toMatch(/^own-hips\/side/);
		expect(readCourses('{')).toMatchObject({ ok: false });
		expect(readCourses('[]')).toMatchObject({ faults: [{ message: 'There is no course in this file.' }] });
	});
	it('is refused where a stage waits for a later one, where nobody can meet it, where it carries what it spares', () => {
		const loop = own({
			stages: [
				{ id: 'late', title: 'Late', steps: [{ step: 'banded-clamshell' }] },
				{ id: 'early', title: 'Early', steps: [{ step: 'clamshell' }] }
			]
		});
		expect(wrong(loop)).toContain('own-hips/late: banded-clamshell waits for clamshell');
		expect(wrong(own({ stages: [{ id: 'x', title: 'X', steps: [{ step: 'no-such' }] }] }))).toMatch(
			/no-such is no step; name one of a ladder[\s\S]*nobody can meet it/
		);
		expect(wrong(own({ spares: ['side-lying'] }))).toContain('clamshell carries side-lying');
		expect(wrong(own({ stages: [] }))).toContain('has no stage; give it one');
		expect(wrong(own({ stages: [{ id: 'x', title: 'X', steps: [] }] }))).toContain('has no step');
		expect(wrong(own({ stages: [own().stages[0]!, own().stages[0]!] }))).toContain('two stages share an id');
	});
});
