/** Exercises in their own right: several on a ladder, one in place of another, ended and begun again, several at once. Common practice. */
import { randomUUID } from 'node:crypto';
import { describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { headOf, logOf } from '../../../../tests/log-of.ts';
import type { Band } from '#lib/core/dose/band.ts';
import type { PlanOrder } from '#lib/core/exercise/plan-order.ts';
import { particularsText } from '#lib/wording/plan.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Exercise } from '../repo/exercise-repo.ts';
import { planView } from '../view/plan-view.ts';
import { slipsByNeed } from '../view/slips-by-need.ts';
import type { Context } from './actor.ts';
import { logVisit } from './log-visit.ts';
import { orderPlan, type Arranged } from './order-plan.ts';
import { pauseExercise } from './pause-exercise.ts';
import { planOf } from './plan-of.ts';
import { prescribe, type NewPrescription } from './prescribe.ts';
import { prescribeSeveral } from './prescribe-several.ts';
import { signDecision } from './sign-decision.ts';
import { hashOf } from '../record/slip-of.ts';

const TODAY = '2026-03-12';
let physio: Context;
let trainer: Context;
let d: TestDatabase;
demoForEach((made) => ({ d, physio, trainer } = made));

const NOT_ALLOWED = { ok: false, refusal: { why: 'not-allowed' } };
const refusedFor = (text: string) => ({
	ok: false,
	refusal: { why: 'not-allowed', message: expect.stringContaining(text) as string }
});
const CONFLICT = { ok: false, refusal: { why: 'conflict' } };
const asked = (r: ClientRecord, patch: Partial<NewPrescription>): NewPrescription => ({
	id: randomUUID(),
	exerciseId: randomUUID(),
	endId: randomUUID(),
	clientId: r.head.id,
	family: 'abduction',
	step: 'clamshell',
	region: 'hip-left',
	sets: 1,
	reps: 10,
	loadKg: 0,
	...patch
});
const stepsOf = (r: ClientRecord, family: string): readonly string[] =>
	r.exercises
		.filter((e) => e.family === family)
		.map((e) => headIn(e).step)
		.sort();
const headIn = (e: Exercise) => effectiveChain(e.prescriptions).head;
const change = (r: ClientRecord, e: Exercise, to: 'active' | 'set-aside' | 'ended') => ({
	id: randomUUID(),
	clientId: r.head.id,
	exerciseId: e.id,
	basedOn: headIn(e).id,
	to,
	reason: 'no longer needed'
});
/** A stopped squat: the knee locked, and the slip was signed. */
async function stopped(): Promise<ClientRecord> {
	const [slip] = slipsByNeed(await client(physio, LOCKED), TODAY);
	value(
		await signDecision(physio, {
			id: randomUUID(),
			prescriptionId: randomUUID(),
			clientId: (await client(physio, LOCKED)).head.id,
			exerciseId: slip!.exercise.id,
			hash: hashOf(slip!),
			basedOn: slip!.chain.head.id,
			answer: 'accepted'
		})
	);
	return client(physio, LOCKED);
}
const LOCKED = 'Odile';

describe('side by side', () => {
	it('clamshell, lift and band walk of one hip: each its own exercise, each with its own slip', async () => {
		const r = await client(physio, 'Tamsin');
		const before = slipsByNeed(r, TODAY).length;
		for (const step of ['clamshell', 'straight-leg-lift', 'monster-walk'])
			value(await prescribe(physio, asked(r, { step, reason: 'did these three for weeks' })));
		const after = await reloaded(physio, r.head.id);
		expect(stepsOf(after, 'abduction')).toEqual(['clamshell', 'monster-walk', 'straight-leg-lift']);
		expect(slipsByNeed(after, TODAY)).toHaveLength(before + 3);
	});
	it('the same step twice for a region is said, not written twice; for the other side it is another', async () => {
		const r = await client(physio, 'Tamsin');
		value(await prescribe(physio, asked(r, {})));
		expect(await prescribe(physio, asked(r, {}))).toMatchObject(CONFLICT);
		expect(await prescribe(physio, asked(r, { region: 'hip-right' }))).toMatchObject({
			ok: false,
			refusal: { field: 'region' }
		});
	});
	it('a gentler step beside a farther one asks no gate; a farther one asks its own', async () => {
		const r = await client(physio, 'Tamsin');
		value(await prescribe(physio, asked(r, { step: 'banded-standing-abduction', reason: 'seen doing it' })));
		expect(await prescribe(physio, asked(r, { step: 'banded-clamshell' }))).toMatchObject({ ok: true });
		expect(await prescribe(physio, asked(r, { step: 'side-plank-lift' }))).toMatchObject({
			ok: false,
			refusal: { field: 'reason' }
		});
	});
});

describe('in place of', () => {
	it('the same ladder goes on under its own history', async () => {
		const r = await client(physio, 'Wren');
		const [squat] = r.exercises;
		const { step, dose } = headOf(r);
		const less = { family: 'squat', step, region: 'knee-right', inPlaceOf: squat!.id, reps: 3 };
		value(await prescribe(physio, asked(r, less)));
		const after = await reloaded(physio, r.head.id);
		expect(after.exercises).toHaveLength(r.exercises.length);
		expect(headOf(after)).toMatchObject({ kind: 'alter', dose: { ...dose, sets: 1, reps: 3 } });
		expect(after.logs).toHaveLength(r.logs.length);
	});
	it('of another ladder it ends, with what took its place; its sessions stay, and one of before is still taken', async () => {
		const r = await client(physio, 'Tamsin');
		const [old] = r.exercises;
		value(await prescribe(physio, asked(r, { inPlaceOf: old!.id, reason: 'hip first' })));
		const after = await reloaded(physio, r.head.id);
		expect(after.exercises.map((e) => e.id)).not.toContain(old!.id);
		const { ended } = planView(after, slipsByNeed(after, TODAY), TODAY, []);
		expect(ended).toMatchObject([
			{ exerciseId: old!.id, until: TODAY, reason: 'Clamshell took its place: hip first' }
		]);
		expect(after.logs).toEqual(r.logs);
		expect(await logVisit(physio, logOf(r, '2026-03-11'))).toMatchObject({ ok: true });
	});
	it('what has ended meanwhile is said, and nothing is written', async () => {
		const r = await client(physio, 'Tamsin');
		const [old] = r.exercises;
		value(await pauseExercise(physio, change(r, old!, 'ended')));
		expect(await prescribe(physio, asked(r, { inPlaceOf: old!.id }))).toMatchObject(CONFLICT);
		expect(
			await prescribe(physio, asked(r, { family: 'squat', exerciseId: old!.id, step: headIn(old!).step }))
		).toMatchObject(CONFLICT);
		expect((await reloaded(physio, r.head.id)).exercises).toHaveLength(r.exercises.length - 1);
	});
	it('without an id for the end of the other nothing is written', async () => {
		const r = await client(physio, 'Tamsin');
		const { endId: _, ...lost } = asked(r, { inPlaceOf: r.exercises[0]!.id, reason: 'hip first' });
		expect(await prescribe(physio, lost)).toMatchObject({ ok: false, refusal: { why: 'invalid' } });
		expect((await reloaded(physio, r.head.id)).exercises).toEqual(r.exercises);
	});
	it('a trainer takes nothing away that was not delegated', async () => {
		const r = await client(physio, 'Wren');
		value(await prescribe(physio, asked(r, { region: 'knee-right', reason: 'hip beside the knee' })));
		const after = await reloaded(physio, r.head.id);
		const hip = after.exercises.find((e) => e.family === 'abduction');
		const wall = { family: 'squat', step: 'raised-seat-hands', region: 'knee-right', inPlaceOf: hip!.id };
		expect(await prescribe(trainer, asked(r, wall))).toMatchObject(refusedFor('not delegated'));
	});
});

describe('no way round a stop', () => {
	it('beside a stopped exercise nothing of its ladder is begun by a trainer; a licensed user says why', async () => {
		const r = await stopped();
		const squat = r.exercises.find((e) => e.family === 'squat')!;
		expect(headIn(squat).state).toBe('stopped');
		const easy = { family: 'squat', step: 'raised-seat-hands', region: squat.region };
		expect(await prescribe(trainer, asked(r, easy))).toMatchObject(refusedFor('is stopped'));
		expect(await prescribe(physio, asked(r, easy))).toMatchObject({
			ok: false,
			refusal: { field: 'reason' }
		});
	});
	it('what a slip stops is neither set aside nor ended by a trainer before it is signed, nor after', async () => {
		const r = await client(physio, LOCKED);
		const [slip] = slipsByNeed(r, TODAY);
		expect(slip?.trace.decision).toBe('stop');
		expect(await pauseExercise(trainer, change(r, slip!.exercise, 'set-aside'))).toMatchObject(
			refusedFor('says to stop')
		);
		expect(await pauseExercise(trainer, change(r, slip!.exercise, 'ended'))).toMatchObject(
			refusedFor('says to stop')
		);
		const after = await stopped();
		const squat = after.exercises.find((e) => e.id === slip!.exercise.id)!;
		expect(await pauseExercise(trainer, change(after, squat, 'ended'))).toMatchObject(
			refusedFor('ended by a licensed')
		);
		expect(await pauseExercise(physio, change(after, squat, 'ended'))).toMatchObject({ ok: true });
	});
	it('ending it is no way round either: what was stopped and ended is taken up by a licensed user alone', async () => {
		const r = await stopped();
		const squat = r.exercises.find((e) => headIn(e).state === 'stopped')!;
		value(await pauseExercise(physio, change(r, squat, 'ended')));
		const after = await reloaded(physio, r.head.id);
		const gone = after.everGiven.find((e) => e.id === squat.id)!;
		expect(await pauseExercise(trainer, change(after, gone, 'active'))).toMatchObject(refusedFor('licensed'));
		expect(await pauseExercise(physio, change(after, gone, 'active'))).toMatchObject({ ok: true });
	});
	it('what a signed slip set aside is not ended by a trainer, to be begun anew', async () => {
		const r = await client(physio, 'Wren');
		await d.owner.query(
			`update prescription set state = 'set-aside', decision_id = (select id from decision where client_id = prescription.client_id limit 1) where id = $1`,
			[headOf(r).id]
		);
		const aside = await reloaded(physio, r.head.id);
		const squat = aside.exercises.find((e) => e.id === r.exercises[0]!.id)!;
		expect(await pauseExercise(trainer, change(aside, squat, 'ended'))).toMatchObject(refusedFor('licensed'));
		value(await pauseExercise(physio, change(aside, squat, 'ended')));
		const after = await reloaded(physio, r.head.id);
		const gone = after.everGiven.find((e) => e.id === squat.id)!;
		expect(await pauseExercise(trainer, change(after, gone, 'active'))).toMatchObject(refusedFor('licensed'));
	});
	it('beside one whose slip goes back a trainer begins nothing as far; a licensed user says why', async () => {
		const r = await client(physio, 'Bertil');
		const [slip] = slipsByNeed(r, TODAY);
		expect(slip?.trace.decision).toBe('regress');
		const { step, region } = { step: slip!.chain.head.step, region: slip!.exercise.region };
		const ladder = r.families.squat!.steps.map((s) => s.id);
		const far = ladder[ladder.indexOf(step) + 1]!;
		expect(
			await prescribe(trainer, asked(r, { family: 'squat', step: far, region, reason: 'asked' }))
		).toMatchObject(NOT_ALLOWED);
		expect(
			await prescribe(physio, asked(r, { family: 'squat', step: far, region, reason: 'for the stairs' }))
		).toMatchObject({ ok: true });
	});
	it('what a signed slip set aside is begun again by a licensed user', async () => {
		const r = await client(physio, 'Wren');
		await d.owner.query(
			`update prescription set state = 'set-aside', decision_id = (select id from decision where client_id = prescription.client_id limit 1) where id = $1`,
			[headOf(r).id]
		);
		const again = { family: 'squat', step: headOf(r).step, region: 'knee-right' };
		const exerciseId = r.exercises[0]!.id;
		expect(await prescribe(trainer, asked(r, { ...again, exerciseId, reps: 3 }))).toMatchObject(
			refusedFor('signed slip')
		);
		expect(await prescribe(trainer, asked(r, again))).toMatchObject(refusedFor('signed slip'));
	});
});

describe('ended', () => {
	it('it is no longer judged, counted or offered, and is taken up again where it was left', async () => {
		const r = await client(physio, 'Wren');
		const [squat] = r.exercises;
		value(await pauseExercise(physio, change(r, squat!, 'ended')));
		const without = await reloaded(physio, r.head.id);
		expect(slipsByNeed(without, TODAY).map((s) => s.exercise.id)).not.toContain(squat!.id);
		const gone = without.everGiven.find((e) => e.id === squat!.id)!;
		expect(await pauseExercise(physio, change(without, gone, 'ended'))).toMatchObject(CONFLICT);
		value(await pauseExercise(physio, change(without, gone, 'active')));
		const back = await reloaded(physio, r.head.id);
		expect(headOf(back)).toMatchObject({ state: 'active', kind: 'resume', dose: headOf(r).dose });
	});
	it('not beside its twin: the same step begun meanwhile stands', async () => {
		const r = await client(physio, 'Tamsin');
		value(await prescribe(physio, asked(r, {})));
		const first = (await reloaded(physio, r.head.id)).exercises.find((e) => e.family === 'abduction')!;
		value(await pauseExercise(physio, change(r, first, 'ended')));
		value(await prescribe(physio, asked(r, {})));
		const after = await reloaded(physio, r.head.id);
		const gone = after.everGiven.find((e) => e.id === first.id)!;
		expect(await pauseExercise(physio, change(after, gone, 'active'))).toMatchObject(CONFLICT);
	});
});

describe('load and particulars', () => {
	it('a load that is not on the racks takes a reason and names the nearest', async () => {
		const r = await client(physio, 'Wren');
		const give = (loadKg: number, reason?: string) =>
			prescribe(
				physio,
				asked(r, {
					family: 'hinge',
					step: 'seated-hinge',
					region: 'knee-right',
					loadKg,
					...(reason === undefined ? {} : { reason })
				})
			);
		const refused = await give(7);
		expect(refused).toMatchObject({ ok: false, refusal: { field: 'reason' } });
		expect(refused.ok ? '' : refused.refusal.message).toContain('6 kg and 8 kg are nearest');
		expect(await give(8)).toMatchObject({ ok: true });
	});
	it('a band that is not owned takes a reason and names the nearest by their own names; at home it is the client’s', async () => {
		const r = await client(physio, 'Wren');
		const asked = (band: Band, more: object = {}) =>
			prescribe(physio, {
				...{ id: randomUUID(), clientId: r.head.id, exerciseId: randomUUID(), family: 'abduction' },
				...{ step: 'clamshell', region: Object.keys(r.head.setting.usual)[0]!, sets: 1, reps: 8, loadKg: 0 },
				particulars: { band },
				...more
			});
		const refused = await asked('extra-light');
		expect(refused).toMatchObject({ refusal: { field: 'reason' } });
		expect(refused.ok ? '' : refused.refusal.message).toContain(
			'There is no extra light band here; light (Sand loop) is nearest.'
		);
		value(await asked('light'));
		const given = (await reloaded(physio, r.head.id)).exercises.at(-1)!.prescriptions.at(-1)!;
		expect(given.particulars).toEqual({ band: 'light', bandName: 'Sand loop' });
		expect(particularsText(given.particulars)).toEqual(['light band (Sand loop)']);
		const here = (await reloaded(physio, r.head.id)).exercises.find((e) => e.family === 'abduction')!;
		const again = { exerciseId: here.id };
		value(await asked('extra-light', { ...again, particulars: { band: 'extra-light', where: 'home' } }));
		value(await asked('extra-heavy', { ...again, reason: 'lent by a colleague' }));
		expect(
			(await reloaded(physio, r.head.id)).exercises.find((e) => e.id === here.id)!.prescriptions.at(-1)!
				.particulars
		).toEqual({ band: 'extra-heavy' });
	});
	it('a practice that ranked none of its bands has said nothing: any may be given, by no name', async () => {
		// As they were kept before bands had a rank.
		await d.owner.query(`update equipment set unit = 'cm', value = 1 where kind = 'band'`);
		const r = await client(physio, 'Wren');
		const region = Object.keys(r.head.setting.usual)[0]!;
		value(
			await prescribe(
				physio,
				asked(r, { family: 'abduction', step: 'clamshell', region, particulars: { band: 'extra-heavy' } })
			)
		);
		const given = (await reloaded(physio, r.head.id)).exercises.at(-1)!.prescriptions.at(-1)!;
		expect(given.particulars).toEqual({ band: 'extra-heavy' });
	});
	it('a machine has its own: no rack is asked for its load', async () => {
		const r = await client(physio, 'Wren');
		const press = { family: 'leg-press', step: 'leg-press', region: 'knee-right', loadKg: 50 };
		const given = await prescribe(physio, asked(r, press));
		expect(given.ok || !given.refusal.message.includes('There is no 50 kg')).toBe(true);
	});
	it('hold, tempo, rest and the note go on when a slip is signed, until they are said anew', async () => {
		const r = await client(physio, 'Tamsin');
		const particulars = { tempo: '3-1-2-0', restSec: 60, daysPerWeek: 3, note: 'slowly down' };
		const [squat] = r.exercises;
		const { step, dose } = headOf(r);
		const same = {
			family: 'squat',
			step,
			region: 'hip-left',
			inPlaceOf: squat!.id,
			sets: dose.sets,
			reps: dose.reps
		};
		value(await prescribe(physio, asked(r, { ...same, particulars })));
		const now = await reloaded(physio, r.head.id);
		const [slip] = slipsByNeed(now, TODAY);
		value(
			await signDecision(physio, {
				id: randomUUID(),
				prescriptionId: randomUUID(),
				clientId: r.head.id,
				exerciseId: slip!.exercise.id,
				hash: hashOf(slip!),
				basedOn: slip!.chain.head.id,
				answer: 'altered',
				instead: { step, sets: 1, reps: 3, loadKg: 0 },
				reason: 'a tired day'
			})
		);
		const signed = headOf(await reloaded(physio, r.head.id));
		expect(signed).toMatchObject({ dose: { reps: 3 }, particulars });
	});
});

describe('several at once', () => {
	const item = (family: string, step: string, region = 'hip-left') => ({
		id: randomUUID(),
		exerciseId: randomUUID(),
		family,
		step,
		region
	});
	it('all of them, each at its first dose', async () => {
		const r = await client(physio, 'Tamsin');
		const items = [item('abduction', 'clamshell'), item('bridge', 'bridge'), item('trunk', 'bird-dog')];
		value(await prescribeSeveral(physio, { id: randomUUID(), clientId: r.head.id, items }));
		const after = await reloaded(physio, r.head.id);
		expect(after.exercises).toHaveLength(r.exercises.length + 3);
		const clamshell = after.exercises.find((e) => e.family === 'abduction')!;
		expect(headIn(clamshell).dose).toMatchObject(r.families.abduction!.steps[1]!.usualDose.start);
	});
	it('or none: one that is refused is named, and nothing of the rest is kept', async () => {
		const r = await client(physio, 'Tamsin');
		const items = [item('abduction', 'clamshell'), item('abduction', 'side-plank-lift')];
		const refused = await prescribeSeveral(physio, { id: randomUUID(), clientId: r.head.id, items });
		expect(refused).toMatchObject({ ok: false, refusal: { field: 'side-plank-lift' } });
		expect(refused.ok ? '' : refused.refusal.message).toContain('Nothing was prescribed');
		expect((await reloaded(physio, r.head.id)).exercises).toHaveLength(r.exercises.length);
	});
	it('another client’s plan as a pattern: ladders and steps in use, and the reading is in the access log', async () => {
		const wren = await client(physio, 'Wren');
		const pattern = value(await planOf(physio, wren.head.id));
		expect(pattern.work).toContainEqual(
			expect.objectContaining({ family: 'squat', step: headOf(wren).step }) as unknown
		);
		const { rows } = await d.owner.query(
			`select client_id from access_log where what = 'plan, as a pattern'`
		);
		expect(rows).toEqual([{ client_id: wren.head.id }]);
		expect(await planOf(physio, randomUUID())).toMatchObject({
			ok: false,
			refusal: { why: 'not-found' }
		});
	});
});

describe('the order of the plan', () => {
	const arranged = (
		r: ClientRecord,
		groups: Partial<PlanOrder>,
		patch: Partial<Arranged> = {}
	): Arranged => ({
		id: randomUUID(),
		clientId: r.head.id,
		basedOn: r.head.planOrder?.id ?? null,
		groups: { warmUp: [], main: [], finish: [], ...groups },
		...patch
	});
	const withTwo = async () => {
		const r = await client(physio, 'Tamsin');
		value(await prescribe(physio, asked(r, {})));
		return reloaded(physio, r.head.id);
	};
	it('is kept as it was arranged, and the plan shows it so', async () => {
		const r = await withTwo();
		const [a, b] = r.exercises.map((e) => e.id) as [string, string];
		value(await orderPlan(physio, arranged(r, { warmUp: [b], finish: [a] })));
		const after = await reloaded(physio, r.head.id);
		const { groups } = planView(after, slipsByNeed(after, TODAY), TODAY, []);
		expect([groups.warmUp, groups.finish].map((g) => g.map((w) => w.exerciseId))).toEqual([[b], [a]]);
		value(await orderPlan(physio, arranged(after, { main: [b, a] })));
		expect((await reloaded(physio, r.head.id)).head.planOrder?.groups.main).toEqual([b, a]);
	});
	it('made from an older arrangement it is told, and so is one that names what is not in the plan, or twice', async () => {
		const r = await withTwo();
		const [a, b] = r.exercises.map((e) => e.id) as [string, string];
		value(await orderPlan(physio, arranged(r, { main: [a, b] })));
		expect(await orderPlan(physio, arranged(r, { main: [b, a] }))).toMatchObject(CONFLICT);
		const after = await reloaded(physio, r.head.id);
		expect(await orderPlan(physio, arranged(after, { main: [a, randomUUID()] }))).toMatchObject(CONFLICT);
		expect(await orderPlan(physio, arranged(after, { main: [a], finish: [a] }))).toMatchObject(CONFLICT);
	});
});
