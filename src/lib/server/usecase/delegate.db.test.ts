/** What a trainer is given to do: by a licensed user, of ladders there are, until a day; ended at once. Common practice. */
import { randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, it } from 'vitest';
import { client, demoForEach, reloaded, value, type TestDatabase } from '../../../../tests/database.ts';
import { delegationForm, familiesIn } from '#lib/contract/plan-form.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Context } from './actor.ts';
import { delegate, delegationShown, endDelegation, type NewDelegation } from './delegate.ts';
import { delegated } from './delegated.ts';

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
