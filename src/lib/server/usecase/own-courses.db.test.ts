/** A practice's own course through the record: written by a licensed user, begun, followed in its new version, retired. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import type { OwnCourse } from '#lib/core/fit/course.ts';
import { inPracticeOf } from '../db/in-practice.ts';
import { courseOf, stageBefore } from '../record/course-of.ts';
import { unjudged } from '../repo/standing-repo.ts';
import { courseView } from '../view/course-view.ts';
import type { Context } from './actor.ts';
import { judgeAnew, judgedBy } from './judge-anew.ts';
import { ownCourses, saveCourses } from './own-courses.ts';
import { startCourse } from './start-course.ts';

const TODAY = '2026-03-12';
let d: TestDatabase;
let physio: Context;
let trainer: Context;
demoForEach((made) => ({ d, physio, trainer } = made));

const stages = (...steps: readonly string[]): OwnCourse['stages'] =>
	steps.map((step, i) => ({ id: `s${i}`, title: `Stage ${i + 1}`, steps: [{ step }] }));
const own = (patch: Partial<OwnCourse> = {}): OwnCourse => ({
	...{ id: 'own-quay', title: 'Quay legs', what: 'First this, then that.', order: 'learning' },
	...{ sources: ['practice-setting'], stages: stages('heel-slide', 'clamshell', 'bridge') },
	...patch
});
const save = (c: unknown, who = physio) => saveCourses(who, JSON.stringify(c, null, 1));
async function onIt(): Promise<string> {
	const nerys = await client(physio, 'Nerys');
	const begun = { id: randomUUID(), clientId: nerys.head.id, course: 'own-quay', region: 'knee-left' };
	value(await startCourse(physio, { ...begun, basedOn: nerys.head.course?.id ?? null }));
	return nerys.head.id;
}

describe('own courses', () => {
	it('are written by a licensed user, all of a file or none, each fault with its line', async () => {
		expect(await save(own(), trainer)).toMatchObject({ refusal: { why: 'not-allowed' } });
		const bad = [own(), own({ id: 'own-bad', stages: stages('heel-slide', 'no-such-step') })];
		const text = JSON.stringify(bad, null, 1);
		const answer = value(await saveCourses(physio, text));
		const fault = 'faults' in answer ? answer.faults[0] : undefined;
		expect(fault).toMatchObject({ place: 'own-bad/s1' });
		expect(text.split('\n')[fault?.line ?? 0]).toContain('"id": "s1"');
		expect(value(await ownCourses(physio))).toEqual([]);
		expect(value(await save([own()]))).toEqual({ saved: ['Quay legs'] });
		expect(value(await ownCourses(trainer))).toEqual([{ course: own(), clients: 0 }]);
	});
	it('are begun like any; who is on one follows its new version, and Today is judged anew', async () => {
		value(await save(own()));
		const id = await onIt();
		expect(value(await ownCourses(physio))[0]?.clients).toBe(1);
		const before = await reloaded(physio, id);
		expect(courseView(before, TODAY)).toMatchObject({ title: 'Quay legs', now: 0 });
		expect(stageBefore(before, TODAY, 'bridge')?.stage.title).toBe('Stage 1');
		const old = await physio.inPractice((t) => unjudged(t, TODAY, judgedBy()));
		await judgeAnew(physio.inPractice, old, TODAY);
		expect(await physio.inPractice((t) => unjudged(t, TODAY, judgedBy()))).toEqual([]);
		value(await save(own({ title: 'Quay legs, anew', stages: stages('bridge', 'heel-slide') })));
		const after = await reloaded(physio, id);
		expect(courseOf(after, TODAY)?.course.title).toBe('Quay legs, anew');
		expect(stageBefore(after, TODAY, 'bridge')).toBeUndefined();
		expect((await physio.inPractice((t) => unjudged(t, TODAY, judgedBy()))).length).toBeGreaterThan(0);
	});
	it('retired, stay for whoever is on one, and are begun by nobody', async () => {
		value(await save(own()));
		const id = await onIt();
		value(await save(own({ retired: true })));
		expect(courseOf(await reloaded(physio, id), TODAY)?.course.id).toBe('own-quay');
		const wren = await client(physio, 'Wren');
		const region = Object.keys(wren.head.setting.usual)[0]!;
		expect(
			await startCourse(physio, {
				...{ id: randomUUID(), clientId: wren.head.id, course: 'own-quay', region },
				basedOn: wren.head.course?.id ?? null
			})
		).toMatchObject({ refusal: { field: 'course' } });
	});
	it('are read by a client’s own page', async () => {
		value(await save(own()));
		const wren = await client(physio, 'Wren');
		const { practiceId } = physio.actor;
		const linkId = randomUUID();
		const theirs = inPracticeOf(d.db, practiceId, linkId, { client: wren.head.id });
		expect((await theirs((t) => t.trx.selectFrom('own_course').select('course').execute())).length).toBe(1);
	});
});
