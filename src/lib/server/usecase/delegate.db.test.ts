/** What a trainer is given to do: by a licensed user, of ladders there are, until a day; ended at once. Common practice. */
import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { delegationForm, familiesIn } from '#lib/contract/plan-form.ts';
import { POLICIES } from '#lib/catalogue/policies.ts';
import { DECISIONS } from '#lib/core/decision/trace.ts';
import { trainerMaySign, type TrainerSigns } from '#lib/core/decision/trainer-signs.ts';
import { fitContextOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { hashOf, slipOf } from '../record/slip-of.ts';
import type { Context } from './actor.ts';
import { delegate, delegationShown, endDelegation, type NewDelegation } from './delegate.ts';
import { delegated } from './delegated.ts';
import { signingClosed } from './may-sign.ts';
import { signDecision } from './sign-decision.ts';

const TODAY = '2026-03-12';
let d: TestDatabase;
let physio: Context;
let trainer: Context;
let amos: ClientRecord;
demoForEach((made) => ({ d, physio, trainer } = made));
beforeEach(async () => {
	await d.owner.query('delete from delegation');
	amos = await client(physio, 'Amos');
});
const give = (patch: Partial<NewDelegation> = {}, ctx = physio) =>
	delegate(ctx, {
		id: randomUUID(),
		clientId: amos.head.id,
		memberId: trainer.actor.memberId,
		families: ['squat', 'bridge'],
		expires: '2026-04-01',
		callWhen: 'the knee is above 4',
		...patch
	});
const shown = () => physio.inPractice((t) => delegationShown(t, amos.head.id, TODAY));
const may = async (family: string, day = TODAY) =>
	delegated(trainer.actor, await reloaded(trainer, amos.head.id), family, day);

describe('a delegation', () => {
	it('holds for its ladders until its day, in the place of the one before', async () => {
		expect(await may('squat')).toBe(false);
		value(await give());
		expect([
			await may('squat'),
			await may('hinge'),
			await may('squat', '2026-04-01'),
			await may('squat', '2026-04-02')
		]).toEqual([true, false, true, false]);
		value(await give({ families: ['hinge'] }));
		expect([await may('squat'), await may('hinge')]).toEqual([false, true]);
		expect((await shown()).stands).toMatchObject([
			{ name: 'Joss Bellwether', families: ['hinge'], callWhen: 'the knee is above 4' }
		]);
	});
	it('is theirs alone: a record that another trainer reads lends it to nobody', async () => {
		value(await give());
		const r = await reloaded(trainer, amos.head.id);
		const another = { ...trainer.actor, memberId: randomUUID() };
		expect([
			delegated(trainer.actor, r, 'squat', TODAY),
			delegated(another, r, 'squat', TODAY),
			delegated(physio.actor, r, 'squat', TODAY)
		]).toEqual([true, false, true]);
		// Nor is it of another client of theirs.
		expect(delegated(trainer.actor, await client(trainer, 'Wren'), 'squat', TODAY)).toBe(false);
	});
	it('is ended at once, and once', async () => {
		value(await give());
		const [stands] = (await shown()).stands;
		const end = () =>
			endDelegation(physio, { id: randomUUID(), clientId: amos.head.id, delegationId: stands!.id });
		value(await end());
		expect(await may('squat')).toBe(false);
		expect((await shown()).stands).toEqual([]);
		expect(await end()).toMatchObject({ refusal: { why: 'conflict' } });
		value(await give());
		expect(await may('squat')).toBe(true);
	});
	it('is a licensed user’s to give, to a trainer, of something there is, for a time', async () => {
		expect(await give({}, trainer)).toMatchObject({ refusal: { why: 'not-allowed' } });
		const field = (name: string) => ({ ok: false, refusal: { field: name } });
		expect(await give({ families: [] })).toMatchObject(field('families'));
		expect(await give({ families: ['nope'] })).toMatchObject(field('families'));
		expect(await give({ families: ['constructor'] })).toMatchObject(field('families'));
		expect(await give({ expires: '2026-03-11' })).toMatchObject(field('expires'));
		expect(await give({ expires: '2027-03-14' })).toMatchObject(field('expires'));
		expect(await give({ memberId: physio.actor.memberId })).toMatchObject(field('memberId'));
		await d.owner.query(`update member set ended_at = '2026-03-01' where id = $1`, [trainer.actor.memberId]);
		expect(await give()).toMatchObject(field('memberId'));
		expect((await shown()).trainers).toEqual([]);
		await d.owner.query(`update member set ended_at = null`);
		value(await give({ expires: '2026-03-12' }));
		value(await give({ expires: '2027-03-13' }));
	});
});

it('the form asks for a real day', () => {
	const ids = { id: randomUUID(), memberId: randomUUID(), callWhen: '' };
	expect(delegationForm.safeParse({ ...ids, expires: '' }).success).toBe(false);
	expect(delegationForm.safeParse({ ...ids, expires: '2026-04-31' }).success).toBe(false);
	const form = new FormData();
	for (const f of ['squat', 'bridge', 'squat']) form.append('families', f);
	expect(familiesIn(form)).toEqual(['squat', 'bridge']);
});

describe('what a practice lets a trainer sign', () => {
	it('of each decision, by setting', () => {
		const may = (signs: TrainerSigns) => DECISIONS.filter((x) => trainerMaySign(signs, x));
		expect(may('delegated')).toEqual(DECISIONS);
		expect(may('gentler')).toEqual(['refer', 'stop', 'regress', 'wait', 'hold']);
		expect(may('nothing')).toEqual([]);
	});
	it('binds signing: an advance that is a licensed user’s is refused, and signed by one', async () => {
		const nerys = await client(physio, 'Nerys');
		const slip = nerys.exercises
			.map((e) => slipOf(nerys, e, TODAY, 0))
			.find((x) => x.trace.decision === 'advance')!;
		await give({ clientId: nerys.head.id, families: [slip.exercise.family] });
		const sign = (ctx: Context) =>
			signDecision(ctx, {
				id: randomUUID(),
				prescriptionId: randomUUID(),
				clientId: nerys.head.id,
				exerciseId: slip.exercise.id,
				hash: hashOf(slip),
				basedOn: slip.chain.head.id,
				answer: 'accepted'
			});
		const closed = async (ctx: Context) =>
			signingClosed(
				ctx.actor,
				await reloaded(ctx, nerys.head.id),
				{ family: slip.exercise.family, decision: slip.trace.decision },
				TODAY
			);
		await d.owner.query(`update practice set trainer_signs = 'gentler'`);
		// Said before it is pressed, in the words it is refused with.
		expect([await closed(physio), await closed(trainer)]).toEqual([
			null,
			expect.stringContaining('advance is signed by a licensed')
		]);
		expect(await sign(trainer)).toMatchObject({
			refusal: {
				why: 'not-allowed',
				message: expect.stringContaining('advance is signed by a licensed') as string
			}
		});
		await d.owner.query(`update practice set trainer_signs = 'nothing'`);
		expect(await sign(trainer)).toMatchObject({ refusal: { why: 'not-allowed' } });
		await d.owner.query(`update practice set trainer_signs = 'delegated'`);
		value(await sign(trainer));
	});
});

describe('how long things hold here', () => {
	it('is the policy’s, until the practice says otherwise; then decisions carry it', async () => {
		const before = await reloaded(physio, amos.head.id);
		expect(before.policy).toBe(POLICIES[before.head.setting.policyId]);
		await d.owner.query('update practice set screening_weeks = 4, retest_weeks = 2');
		const after = await reloaded(physio, amos.head.id);
		expect(after.policy).toEqual({ ...before.policy, screeningDays: 28, rangeStaleDays: 14 });
		expect(fitContextOf(after, TODAY).rules.staleDays).toBe(14);
		expect(slipOf(after, after.exercises[0]!, TODAY, 0).input.policy.screeningDays).toBe(28);
		await d.owner.query('update practice set screening_weeks = null');
		expect((await reloaded(physio, amos.head.id)).policy.screeningDays).toBe(before.policy.screeningDays);
	});
});
