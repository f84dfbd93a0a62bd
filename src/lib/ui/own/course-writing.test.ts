/** A course while it is written: every field turns the text into another that says exactly that. Common practice. */
import { expect, it } from 'vitest';
import { COURSES } from '#lib/catalogue/courses.ts';
import { readCourses } from '#lib/contract/own-course.ts';
import {
	begunCourse,
	firstCourse,
	oneStageMore,
	spares,
	withCourse,
	withInstead,
	withRounds,
	withSpared,
	withStage,
	withStep
} from './course-writing.ts';
import { earlier, orNone, toggled } from './lists.ts';

it('begins from one of the trade’s, under an id of its own, and is never retired', () => {
	const [trade] = COURSES;
	const mine = begunCourse(' Our Legs ', { ...trade!, retired: true });
	expect(mine).toMatchObject({ id: 'own-our-legs', title: 'Our Legs', stages: trade!.stages });
	expect(mine).not.toHaveProperty('retired');
	expect(readCourses(JSON.stringify(mine)).ok).toBe(true);
	expect(begunCourse('').id).toBe('own-our-course');
});

it('stages and steps are added, moved and taken out; another stage gets an id of its own', () => {
	const empty = begunCourse('x');
	const more = oneStageMore(oneStageMore(empty));
	expect(more.stages.map((s) => s.id)).toEqual(['first', 'stage-2', 'stage-3']);
	expect([
		orNone([]),
		toggled(['a'], 'a', false),
		toggled(undefined, 'b', true),
		toggled(['b'], 'b', true)
	]).toEqual([undefined, undefined, ['b'], ['b']]);
	const less = withStage(more, 1, null);
	expect(oneStageMore(less).stages.map((s) => s.id)).toEqual(['first', 'stage-3', 'stage-4']);
	expect(earlier(more.stages, 2).map((s) => s.id)).toEqual(['first', 'stage-3', 'stage-2']);
	expect(earlier(more.stages, 0)).toEqual(more.stages);
	const stage = withStep(withStep(more.stages[0]!, 9, { step: 'bridge' }), 9, { step: 'clamshell' });
	expect(stage.steps.map((s) => s.step)).toEqual(['bridge', 'clamshell']);
	expect(withStep(stage, 0, null).steps.map((s) => s.step)).toEqual(['clamshell']);
	expect(withStep(stage, 0, { step: 'jog' }).steps.map((s) => s.step)).toEqual(['jog', 'clamshell']);
});

it('what stands in, rounds and what is spared come and go without a trace', () => {
	const s = { step: 'bridge', instead: ['clamshell', 'wall-press'] };
	expect(withInstead(s, 'jog').instead).toEqual(['jog', 'wall-press']);
	expect(withInstead(s, '')).toEqual({ step: 'bridge' });
	expect(withRounds(withRounds({ step: 'bridge' }, true), false)).toEqual({ step: 'bridge' });
	const course = begunCourse('x');
	const toes = withSpared(withSpared(course, 'toes', true), 'knees', true);
	expect([spares(toes, 'toes'), spares(toes, 'knees'), spares(toes, 'back')]).toEqual([true, true, false]);
	expect(withSpared(withSpared(toes, 'toes', false), 'knees', false)).toEqual(course);
});

it('the text keeps what else is in it; of what is no course no field is shown', () => {
	const [a, b] = [begunCourse('a'), begunCourse('b')];
	const text = JSON.stringify([a, b]);
	expect(JSON.parse(withCourse(text, { ...a, title: 'A' }))).toEqual([{ ...a, title: 'A' }, b]);
	expect(firstCourse(withCourse(JSON.stringify(a), b))).toEqual(b);
	expect(['', '{', 'null', '[]', '{"stages":3}', '{"stages":[null]}'].map(firstCourse)).toEqual(
		Array(6).fill(null)
	);
});
