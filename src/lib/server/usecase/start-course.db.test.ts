/** A course through the record: begun, its stage given in one go, later stages waiting, what hurts, another in its place, left. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value } from '../../../../tests/database.ts';
import { courseAmong } from '#lib/catalogue/courses.ts';
import { courseOf, hurting } from '../record/course-of.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { hashOf } from '../record/slip-of.ts';
import { slipsByNeed } from '../view/slips-by-need.ts';
import { signDecision } from './sign-decision.ts';
import { gatesOf } from '../record/gates-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { courseView } from '../view/course-view.ts';
import { findStep } from '#lib/catalogue/families.ts';
import type { Context } from './actor.ts';
import { laddersView } from './ladders-view.ts';
import { pauseExercise } from './pause-exercise.ts';
import { prescribe } from './prescribe.ts';
import { prescribeSeveral } from './prescribe-several.ts';
import { leaveCourse, startCourse } from './start-course.ts';

const TODAY = '2026-03-12';
let physio: Context;
let trainer: Context;
demoForEach((made) => ({ physio, trainer } = made));

const begin = (r: ClientRecord, patch: object = {}) => ({
	id: randomUUID(),
	clientId: r.head.id,
	course: 'band-hips',
	region: 'knee-left',
	basedOn: r.head.course?.id ?? null,
	...patch
});
async function on(who = 'Nerys', region = 'knee-left'): Promise<ClientRecord> {
	const r = await client(physio, who);
	value(await startCourse(physio, begin(r, { region })));
	return reloaded(physio, r.head.id);
}
/** Prescribes what is missing of the stage that is worked on, as the plan's button does. */
const giveStage = async (r: ClientRecord): Promise<number> => {
	const view = courseView(r, TODAY)!;
	const items = view.stages[view.now!]!.steps.filter((s) => s.toGive).map((s) => ({
		id: randomUUID(),
		exerciseId: randomUUID(),
		family: s.family!,
		step: s.step!,
		region: view.region,
		...(s.rounds ? { rounds: true as const } : {})
	}));
	return value(await prescribeSeveral(physio, { id: randomUUID(), clientId: r.head.id, items })).length;
};

describe('a course', () => {
	it('is begun by a licensed user, for a region under treatment, once', async () => {
		const r = await client(physio, 'Nerys');
		expect(await startCourse(trainer, begin(r))).toMatchObject({ refusal: { why: 'not-allowed' } });
		expect(await startCourse(physio, begin(r, { course: 'nope' }))).toMatchObject({
			refusal: { field: 'course' }
		});
		expect(await startCourse(physio, begin(r, { region: 'ankle-left' }))).toMatchObject({
			refusal: { field: 'region' }
		});
		const first = begin(r);
		expect(value(await startCourse(physio, first)).title).toBe('Hips with a band, in rounds');
		expect(value(await startCourse(physio, first)).title).toBe('Hips with a band, in rounds');
		// From a page that showed none yet.
		expect(await startCourse(physio, begin(r))).toMatchObject({ refusal: { why: 'conflict' } });
		expect((await reloaded(physio, r.head.id)).head.course).toMatchObject({
			course: 'band-hips',
			region: 'knee-left',
			day: TODAY
		});
		expect(courseOf(await client(physio, 'Tamsin'), TODAY)).toBeUndefined();
	});
	it('gives its stage in one go, in rounds where it says so, and shows what stands', async () => {
		const r = await on('Tamsin', 'hip-left');
		const missing = courseView(r, TODAY)!.stages[0]!.steps.filter((s) => s.toGive);
		const given = await giveStage(r);
		expect(given).toBe(missing.length);
		expect(given).toBeGreaterThan(0);
		const after = await reloaded(physio, r.head.id);
		const view = courseView(after, TODAY)!;
		expect(
			view.stages[0]!.steps.filter((s) => s.step !== null).every((s) => s.given || s.clean || s.waits !== '')
		).toBe(true);
		const added = after.exercises.filter((e) => !r.exercises.some((x) => x.id === e.id));
		for (const e of added) expect(e.prescriptions[0]!.dose.school).toBe('rounds');
	});
	it('closes what comes in a later stage, by name, to everything that proposes or prescribes', async () => {
		const before = await client(physio, 'Nerys');
		const later = 'monster-walk';
		expect(gatesOf(before, findStep(later)!.step, TODAY).some((g) => g.gate.kind === 'stage')).toBe(false);
		const r = await on();
		const course = courseAmong([], 'band-hips')!;
		const gate = gatesOf(r, findStep(later)!.step, TODAY).find((g) => g.gate.kind === 'stage')!;
		expect(gate).toMatchObject({
			met: false,
			gate: { course: course.title, stage: course.stages[0]!.title }
		});
		expect(laddersView(r, TODAY).gates[later]!.some((g) => !g.met && g.text.includes('every step of'))).toBe(
			true
		);
		const wanted = {
			id: randomUUID(),
			exerciseId: randomUUID(),
			clientId: r.head.id,
			family: 'abduction',
			step: later,
			region: 'knee-left',
			sets: 1,
			reps: 10,
			loadKg: 0
		};
		expect(await prescribe(physio, wanted)).toMatchObject({
			refusal: {
				field: 'reason',
				message: expect.stringContaining('every step of “Without a band” first') as string
			}
		});
	});
	it('a step that its slip stopped opens its stage again', async () => {
		const r = await client(physio, 'Odile');
		value(await startCourse(physio, begin(r, { course: 'heels-raised', region: 'knee-right' })));
		const stands = effectiveChain(r.exercises[0]!.prescriptions).head.step;
		const before = await reloaded(physio, r.head.id);
		expect(hurting(before)).toEqual(new Set());
		const [slip] = slipsByNeed(before, TODAY);
		value(
			await signDecision(physio, {
				id: randomUUID(),
				prescriptionId: randomUUID(),
				clientId: r.head.id,
				exerciseId: slip!.exercise.id,
				hash: hashOf(slip!),
				basedOn: slip!.chain.head.id,
				answer: 'accepted'
			})
		);
		const after = await reloaded(physio, r.head.id);
		expect(hurting(after)).toEqual(new Set([stands]));
	});
	it('a step that was gone back from hurts until it stands again; one set aside by hand does not', async () => {
		const r = await client(physio, 'Bertil');
		const e = r.exercises[0]!;
		const { head } = effectiveChain(e.prescriptions);
		const next = (p: typeof head, step: string, kind: 'regress' | 'retry') => ({
			...p,
			id: randomUUID(),
			step,
			kind,
			replaces: p.id
		});
		const back = next(head, 'raised-seat', 'regress');
		const given = (...more: readonly (typeof head)[]): ClientRecord => ({
			...r,
			exercises: [{ ...e, prescriptions: [...e.prescriptions, ...more] }]
		});
		expect([...hurting(given(back))]).toContain(head.step);
		expect([...hurting(given(back, next(back, head.step, 'retry')))]).not.toContain(head.step);
		value(
			await pauseExercise(physio, {
				id: randomUUID(),
				clientId: r.head.id,
				exerciseId: e.id,
				basedOn: head.id,
				to: 'set-aside',
				reason: 'away for two weeks'
			})
		);
		expect([...hurting(await reloaded(physio, r.head.id))]).not.toContain(head.step);
	});
	it('another takes its place; left, nothing waits for it; from an old page neither', async () => {
		const r = await on();
		const stale = { id: randomUUID(), clientId: r.head.id, basedOn: randomUUID() };
		expect(await leaveCourse(physio, stale)).toMatchObject({ refusal: { why: 'conflict' } });
		value(await startCourse(physio, begin(r, { course: 'mobility-300' })));
		const second = await reloaded(physio, r.head.id);
		expect(second.head.course).toMatchObject({ course: 'mobility-300' });
		value(await leaveCourse(physio, { ...stale, id: randomUUID(), basedOn: second.head.course!.id }));
		const third = await reloaded(physio, r.head.id);
		expect(third.head.course).toBeNull();
		expect(gatesOf(third, findStep('monster-walk')!.step, TODAY).some((g) => g.gate.kind === 'stage')).toBe(
			false
		);
		expect(
			await leaveCourse(physio, { ...stale, id: randomUUID(), basedOn: second.head.course!.id })
		).toMatchObject({
			refusal: { why: 'conflict' }
		});
	});
});
