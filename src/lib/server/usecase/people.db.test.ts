/** Founding, joining and the people of a practice: once, by whoever may, never one's own. Common practice. */
import { createHash, randomUUID } from 'node:crypto';
import { beforeEach, describe, expect, it } from 'vitest';
import { as, demoForEach, value, type TestDatabase } from '../../../../tests/database.ts';
import { isZone } from '#lib/contract/basics.ts';
import { foundForm, inviteForm, licenceTrouble, rolesIn } from '#lib/contract/practice-form.ts';
import { foundingToken } from '../keep/founding.ts';
import type { Context } from './actor.ts';
import { changeMember, invite, showPeople, takeBackInvitation, type MemberChange } from './people.ts';

let d: TestDatabase;
let physio: Context;
let owner: Context;
demoForEach((made) => ({ d, physio } = made));
beforeEach(async () => {
	owner = await as(d, 'owner');
});
const hash = (token: string): string => createHash('sha256').update(token).digest('hex');
const asked = (patch: Partial<Parameters<typeof invite>[1]> = {}) => ({
	id: randomUUID(),
	name: 'Tam Dunnage',
	email: 'tam@tidewater.example',
	roles: ['trainer'] as const,
	licenceNo: '',
	licensedUntil: '' as const,
	tokenHash: hash(randomUUID()),
	...patch
});
const accept = async (tokenHash: string, userId: string = randomUUID()) =>
	(await d.pool.query('select accept_invitation($1, $2, $3) as p', [tokenHash, randomUUID(), userId])).rows[0]
		?.p as string | null;
const people = async () => value(await showPeople(owner));

describe('an invitation', () => {
	it('is good once, makes a member with what it said, and is gone from the list', async () => {
		const i = asked({
			roles: ['physiotherapist'],
			licenceNo: 'PH 9',
			licensedUntil: '2027-01-31',
			tokenHash: hash('a')
		});
		const done = value(await invite(owner, i));
		expect(done.expiresAt.slice(0, 10)).toBe('2026-03-19');
		expect((await people()).invitations).toHaveLength(1);
		// What is past its week opens nothing: the demo's day is long ago.
		expect(await accept(hash('a'))).toBeNull();
		await d.owner.query(`update invitation set expires_at = now() + interval '1 minute'`);
		expect(await accept(hash('b'))).toBeNull();
		expect(await accept(hash('a'))).toBe(owner.actor.practiceId);
		expect(await accept(hash('a'))).toBeNull();
		expect((await people()).members.find((m) => m.name === 'Tam Dunnage')).toMatchObject({
			roles: ['physiotherapist'],
			licenceNo: 'PH 9',
			licensedUntil: '2027-01-31',
			endedAt: null
		});
		expect((await people()).invitations).toEqual([]);
	});
	it('sent twice is one; to the same address a second waits for the first; taken back it opens nothing', async () => {
		const i = asked({ tokenHash: hash('c') });
		value(await invite(owner, i));
		value(await invite(owner, i));
		expect(await invite(owner, asked())).toMatchObject({ ok: false, refusal: { why: 'conflict' } });
		const back = { id: randomUUID(), invitationId: i.id };
		value(await takeBackInvitation(owner, back));
		expect(await takeBackInvitation(owner, { ...back, id: randomUUID() })).toMatchObject({
			refusal: { why: 'conflict' }
		});
		await d.owner.query(`update invitation set expires_at = now() + interval '1 minute'`);
		expect(await accept(hash('c'))).toBeNull();
		value(await invite(owner, asked()));
	});
	it('is the owner’s to make, of somebody who is something, under a licence that lasts', async () => {
		expect(await invite(physio, asked())).toMatchObject({ refusal: { why: 'not-allowed' } });
		const field = (name: string) => ({ ok: false, refusal: { field: name } });
		expect(await invite(owner, asked({ roles: [] }))).toMatchObject(field('roles'));
		expect(await invite(owner, asked({ roles: ['physiotherapist'] }))).toMatchObject(field('licenceNo'));
		const licence = { roles: ['physiotherapist'] as const, licenceNo: 'PH 9' };
		expect(await invite(owner, asked(licence))).toMatchObject(field('licensedUntil'));
		expect(await invite(owner, asked({ ...licence, licensedUntil: '2026-03-11' }))).toMatchObject(
			field('licensedUntil')
		);
		value(await invite(owner, asked({ ...licence, licensedUntil: '2026-03-12' })));
	});
	it('makes nobody less than they are: who is of the practice stays what they are, and the link stays good', async () => {
		const petra = (await d.owner.query(`select user_id from member where id = $1`, [owner.actor.memberId]))
			.rows[0] as {
			user_id: string;
		};
		value(await invite(owner, asked({ tokenHash: hash('e') })));
		await d.owner.query(`update invitation set expires_at = now() + interval '1 minute'`);
		expect(await accept(hash('e'), petra.user_id)).toBeNull();
		expect((await people()).members.find((m) => m.own)?.roles).toEqual(['owner']);
		expect(await accept(hash('e'))).toBe(owner.actor.practiceId);
	});
	it('brings a former member back under the membership they had', async () => {
		const before = (await d.owner.query(`select id, user_id from member where 'trainer' = any(roles)`))
			.rows[0] as {
			id: string;
			user_id: string;
		};
		await d.owner.query(`update member set ended_at = '2026-01-01' where id = $1`, [before.id]);
		value(await invite(owner, asked({ tokenHash: hash('d') })));
		await d.owner.query(`update invitation set expires_at = now() + interval '1 minute'`);
		await accept(hash('d'), before.user_id);
		expect((await people()).members.find((m) => m.id === before.id)).toMatchObject({
			name: 'Tam Dunnage',
			endedAt: null
		});
	});
});

describe('a membership', () => {
	const change = async (patch: Partial<MemberChange>, ctx = owner, name = 'Joss') => {
		const m = (await people()).members.find((x) => x.name.startsWith(name))!;
		return changeMember(ctx, {
			id: randomUUID(),
			memberId: m.id,
			name: m.name,
			roles: m.roles as MemberChange['roles'],
			licenceNo: m.licenceNo ?? '',
			licensedUntil: m.licensedUntil ?? '',
			ended: false,
			...patch
		});
	};
	it('is changed by the owner and kept in words; ended and begun again', async () => {
		value(await change({ roles: ['trainer', 'owner'] }));
		value(await change({ roles: ['trainer'], ended: true }));
		expect((await people()).members.find((m) => m.name.startsWith('Joss'))?.endedAt).toBe('2026-03-12');
		value(await change({ ended: false }));
		expect((await people()).changes.map((c) => c.what)).toEqual([
			'Joss Bellwether: membership begun again',
			'Joss Bellwether: roles from trainer, owner to trainer; membership ended',
			'Joss Bellwether: roles from trainer to trainer, owner'
		]);
	});
	it('never one’s own, so that somebody who owns the practice always remains', async () => {
		expect(await change({ ended: true }, owner, 'Petra')).toMatchObject({ refusal: { why: 'not-allowed' } });
		expect(await change({ roles: ['trainer'] }, owner, 'Petra')).toMatchObject({
			refusal: { why: 'not-allowed' }
		});
		expect(await change({}, physio)).toMatchObject({ refusal: { why: 'not-allowed' } });
		// Two owners at once: the one who was put out meanwhile puts nobody out.
		value(await change({ roles: ['owner'] }));
		const joss = (await people()).members.find((m) => m.name.startsWith('Joss'))!;
		await d.owner.query(`update member set ended_at = '2026-01-01' where id = $1`, [joss.id]);
		const other = { ...owner, actor: { ...owner.actor, memberId: joss.id } };
		const late = {
			...other,
			inPractice: ((work) =>
				owner.inPractice((t) => work({ ...t, memberId: joss.id }))) as Context['inPractice']
		};
		expect(await change({ ended: true }, late, 'Petra')).toMatchObject({ refusal: { why: 'not-allowed' } });
		expect((await people()).members.find((m) => m.name.startsWith('Petra'))?.endedAt).toBeNull();
	});
	it('of another practice is none', async () => {
		expect(await change({ memberId: randomUUID() })).toMatchObject({ refusal: { why: 'conflict' } });
		await expect(d.pool.query(`update member set roles = '{owner}'`)).rejects.toThrow(/permission denied/);
		await expect(d.pool.query('select * from founding')).rejects.toThrow(/permission denied/);
	});
});

describe('founding', () => {
	it('is open while there is no practice: once, for its minutes', async () => {
		expect(await foundingToken(d.ownerUrl)).toBeUndefined();
		await d.owner.query('truncate practice cascade');
		const first = (await foundingToken(d.ownerUrl))!;
		const token = (await foundingToken(d.ownerUrl))!;
		const may = async (t: string) =>
			(await d.pool.query('select may_found($1) as may', [hash(t)])).rows[0]?.may as boolean;
		// Started again, the older address opens no longer.
		expect([await may(first), await may(token), await may('guessed')]).toEqual([false, true, false]);
		const found = async (t: string) =>
			(
				await d.pool.query(
					`select found_practice($1, $2, 'Slipway', 'Europe/London', 'metric', $3, 'user', 'Oda', '{owner}', null, null) as done`,
					[hash(t), randomUUID(), randomUUID()]
				)
			).rows[0]?.done as boolean;
		await d.owner.query(`update founding set expires_at = now() - interval '1 second'`);
		expect([await may(token), await found(token)]).toEqual([false, false]);
		const again = (await foundingToken(d.ownerUrl))!;
		expect(await Promise.all([found(again), found(again)])).toEqual(expect.arrayContaining([true, false]));
		expect([await may(again), await found(again)]).toEqual([false, false]);
		expect((await d.owner.query('select count(*)::int as n from practice')).rows[0]).toEqual({ n: 1 });
	});
});

describe('the forms', () => {
	const ids = { id: randomUUID(), memberId: randomUUID() };
	const good = {
		...ids,
		practice: 'Slipway',
		tz: 'Europe/London',
		units: 'metric',
		name: 'Oda Marram',
		email: 'Oda@Quay.example',
		password: 'salt on the rail',
		again: 'salt on the rail',
		licenceNo: '',
		licensedUntil: ''
	};
	it('take an address in any case, and refuse what is none', () => {
		expect(foundForm.parse(good).email).toBe('oda@quay.example');
		for (const patch of [
			{ email: 'oda' },
			{ email: 'oda@quay' },
			{ tz: 'Nowhere/Else' },
			{ tz: 'London' },
			{ password: 'short', again: 'short' },
			{ again: 'salt on the rails' },
			{ practice: 'x' },
			{ units: 'stone' },
			{ licensedUntil: '2026-02-30' }
		])
			expect(foundForm.safeParse({ ...good, ...patch }).success, JSON.stringify(patch)).toBe(false);
		expect(
			inviteForm.safeParse({ id: ids.id, name: 'A', email: 'a@b.c', licenceNo: '', licensedUntil: '' })
				.success
		).toBe(false);
	});
	it('know zones, roles and who needs a licence', () => {
		expect(['UTC', 'America/Argentina/Ushuaia', 'Europe/Nowhere', '', 'utc+1'].map(isZone)).toEqual([
			true,
			true,
			false,
			false,
			false
		]);
		const form = new FormData();
		for (const r of ['owner', 'superuser', 'trainer']) form.append('roles', r);
		expect(rolesIn(form)).toEqual(['trainer', 'owner']);
		expect(licenceTrouble(['owner'], { licenceNo: '', licensedUntil: '' })).toBeUndefined();
		expect(licenceTrouble(['physiotherapist', 'owner'], { licenceNo: 'x', licensedUntil: '' })?.field).toBe(
			'licensedUntil'
		);
	});
});
