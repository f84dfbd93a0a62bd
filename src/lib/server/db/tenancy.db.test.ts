/** What can never happen: rows of another practice, an overwritten record, a powerful application role. */
import { CLIENTS } from '../../../../demo/people.ts';
import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { as, client, cloneOf, type TestDatabase } from '../../../../tests/database.ts';
import { loadRecords } from '../record/load.ts';
import { showClient } from '../usecase/show-client.ts';
import { append, appendAll } from './append.ts';
import { open, refusePowerfulRole } from './connect.ts';
import { inPracticeOf } from './in-practice.ts';
import { APPENDED_TABLES, migrate, PRACTICE_TABLES } from './migrate.ts';
import { separateSignIn } from './sign-in-role.ts';

let d: TestDatabase;
beforeAll(async () => {
	d = await cloneOf('template_demo');
});
afterAll(() => d.close());

/** A second practice with one member, made by the owner role. */
async function stranger() {
	const [practiceId, memberId, userId, session] = [randomUUID(), randomUUID(), randomUUID(), randomUUID()];
	await d.owner.query('insert into practice (id, name, tz, units) values ($1, $2, $3, $4)', [
		practiceId,
		'Other rooms',
		'UTC',
		'metric'
	]);
	await d.owner.query(
		'insert into member (practice_id, id, user_id, name, roles) values ($1, $2, $3, $4, $5)',
		[practiceId, memberId, userId, 'Someone Else', ['physiotherapist']]
	);
	await d.owner.query(
		`with u as (insert into auth."user" (id, name, email, "emailVerified") values ($1, 'Someone Else', $1 || '@rooms.example', true))
		insert into auth."session" (id, "expiresAt", token, "updatedAt", "userId") values ($2, now() + interval '1 hour', $2, now(), $1)`,
		[userId, session]
	);
	return { practiceId, memberId, session };
}

describe('tenancy', () => {
	it('without a practice set, every table of a practice is empty to the application', async () => {
		for (const table of PRACTICE_TABLES)
			expect((await d.pool.query(`select count(*)::int as n from ${table}`)).rows[0], table).toEqual({
				n: 0
			});
		expect((await d.owner.query('select count(*)::int as n from client')).rows[0]).toEqual({
			n: CLIENTS.length
		});
	});
	it('another practice’s client is indistinguishable from none', async () => {
		const wren = await client(await as(d, 'physiotherapist'), 'Wren');
		const { practiceId, memberId } = await stranger();
		const mine = await as(d, 'physiotherapist');
		const theirs = {
			...mine,
			actor: { ...mine.actor, practiceId, memberId },
			inPractice: inPracticeOf(d.db, practiceId, memberId)
		};
		const [foreign, none, malformed] = await Promise.all(
			[wren.head.id, randomUUID(), 'nonsense'].map((id) => showClient(theirs, id, 'test', () => null))
		);
		expect(foreign).toEqual(none);
		expect(malformed).toEqual(none);
		expect(foreign).toMatchObject({ ok: false, refusal: { why: 'not-found' } });
	});
	it('a row cannot be written into another practice, nor point across', async () => {
		const { practiceId, memberId, session } = await stranger();
		const wren = await client(await as(d, 'physiotherapist'), 'Wren');
		const there = inPracticeOf(d.db, practiceId, memberId, { session });
		const row = { id: randomUUID(), client_id: wren.head.id, local_day: '2026-03-01', kind: 'illness' };
		await expect(there((t) => append(t, 'day_event', row))).rejects.toThrow(/foreign key/);
		const mine = await as(d, 'physiotherapist');
		await expect(
			there((t) => append({ ...t, practiceId: mine.actor.practiceId }, 'day_event', row))
		).rejects.toThrow(/row-level security/);
	});
	it('the practice setting ends with its transaction', async () => {
		const ctx = await as(d, 'physiotherapist');
		expect(await ctx.inPractice(async (t) => (await loadRecords(t)).length)).toBe(CLIENTS.length);
		expect((await d.pool.query('select count(*)::int as n from client')).rows[0]).toEqual({ n: 0 });
	});
});

describe('appended, never overwritten', () => {
	it('the application role can neither change nor delete an appended row', async () => {
		for (const table of APPENDED_TABLES) {
			await expect(d.pool.query(`update ${table} set voided = true`), table).rejects.toThrow(
				/permission denied/
			);
			await expect(d.pool.query(`delete from ${table}`), table).rejects.toThrow(/permission denied/);
		}
		await expect(d.pool.query(`update member set roles = '{physiotherapist}'`)).rejects.toThrow(
			/permission denied/
		);
	});
	it('the same write twice is one write; the same id with other content is a conflict', async () => {
		const ctx = await as(d, 'physiotherapist');
		const wren = await client(ctx, 'Wren');
		const row = { id: randomUUID(), client_id: wren.head.id, local_day: '2026-03-01', kind: 'illness' };
		const again = (patch: object) => ctx.inPractice((t) => append(t, 'day_event', { ...row, ...patch }));
		expect(await again({})).toBe('written');
		expect(await again({})).toBe('already');
		expect(await again({ kind: 'painkiller' })).toBe('conflict');
		expect((await d.owner.query('select kind from day_event where id = $1', [row.id])).rows).toEqual([
			{ kind: 'illness' }
		]);
	});
	it('rows that belong together are written in one question; where one of them stands with other content, none is', async () => {
		const ctx = await as(d, 'physiotherapist');
		const wren = await client(ctx, 'Wren');
		const day = (kind: string, id: string = randomUUID()) =>
			['day_event', { id, client_id: wren.head.id, local_day: '2026-03-03', kind }] as const;
		const [first, second, third] = [day('illness'), day('painkiller'), day('illness')];
		const both = (...rows: readonly (typeof first)[]) => ctx.inPractice((t) => appendAll(t, rows));
		expect(await both(first, second)).toBe('written');
		expect(await both(first, second)).toBe('already');
		// One of them is new: the other stands as it is.
		expect(await both(first, third)).toBe('written');
		expect(await both(day('painkiller', first[1].id), day('illness'))).toBe('conflict');
		expect(await both(day('illness'), day('illness', second[1].id))).toBe('conflict');
		expect(await both(first, day('painkiller', first[1].id))).toBe('conflict');
	});
	it('a row has at most one successor', async () => {
		const ctx = await as(d, 'physiotherapist');
		const wren = await client(ctx, 'Wren');
		const first = randomUUID();
		const row = (id: string, replaces: string | null) => ({
			id,
			client_id: wren.head.id,
			local_day: '2026-03-02',
			kind: 'illness',
			replaces_id: replaces
		});
		await ctx.inPractice((t) => append(t, 'day_event', row(first, null)));
		expect(await ctx.inPractice((t) => append(t, 'day_event', row(randomUUID(), first)))).toBe('written');
		expect(await ctx.inPractice((t) => append(t, 'day_event', row(randomUUID(), first)))).toBe('conflict');
	});
});

describe('who wrote a row, and when', () => {
	const row = (clientId: string) => ({
		id: randomUUID(),
		client_id: clientId,
		local_day: '2026-03-01',
		kind: 'illness'
	});
	it('is whose transaction it is, whatever the program says', async () => {
		const physio = await as(d, 'physiotherapist');
		const trainer = await as(d, 'trainer');
		const wren = (await client(physio, 'Wren')).head.id;
		const other = trainer.actor.memberId;
		await expect(
			physio.inPractice((t) => append({ ...t, memberId: other }, 'day_event', row(wren)))
		).rejects.toThrow(/written by another/);
		await expect(
			d.pool.query(
				`begin; set local bolster.practice = '${physio.actor.practiceId}'; insert into day_event (practice_id, id, client_id, local_day, kind, written_by, content_hash)
				values ('${physio.actor.practiceId}', '${randomUUID()}', '${wren}', '2026-03-01', 'illness', '${other}', 'x'); commit`
			)
		).rejects.toThrow(/written by another/);
	});
	it('is now, and by a member of today, outside a demo', async () => {
		const { practiceId, memberId, session } = await stranger();
		const there = inPracticeOf(d.db, practiceId, memberId, { session });
		const clientId = randomUUID();
		await d.owner.query(
			`insert into client (practice_id, id, tz, opened_on) values ($1, $2, 'UTC', '2026-01-01')`,
			[practiceId, clientId]
		);
		const one = row(clientId);
		await there((t) => append(t, 'day_event', one, new Date('2020-01-01T00:00:00Z')));
		const { rows } = await d.owner.query<{ late: boolean }>(
			`select recorded_at > now() - interval '1 minute' as late from day_event where id = $1`,
			[one.id]
		);
		expect(rows).toEqual([{ late: true }]);
		// Signed in as somebody else, no more, or not at all: nobody's.
		const another = await stranger();
		const by = (token?: string) =>
			inPracticeOf(d.db, practiceId, memberId, token === undefined ? {} : { session: token });
		for (const mine of [by(), by('nothing'), by(another.session)])
			await expect(mine((t) => append(t, 'day_event', row(clientId)))).rejects.toThrow(/not signed in/);
		await d.owner.query(`update auth."session" set "expiresAt" = now() where token = $1`, [session]);
		await expect(there((t) => append(t, 'day_event', row(clientId)))).rejects.toThrow(/not signed in/);
		await d.owner.query(`update member set ended_at = current_date where id = $1`, [memberId]);
		await expect(there((t) => append(t, 'day_event', row(clientId)))).rejects.toThrow(
			/by nobody of the practice/
		);
	});
	it('is seen to in every table whose rows say so', async () => {
		const { rows } = await d.owner.query<{ name: string }>(
			`select c.relname as name from pg_class c join pg_attribute a on a.attrelid = c.oid and a.attname = 'written_by'
			where c.relkind = 'r' and not exists (select 1 from pg_trigger g where g.tgrelid = c.oid and g.tgname = 'as_written')`
		);
		expect(rows).toEqual([]);
	});
});

describe('roles and migrations', () => {
	it('start-up takes the plain role and refuses an owner', async () => {
		await expect(refusePowerfulRole(d.pool)).resolves.toBeUndefined();
		const owner = open(d.ownerUrl, 1);
		await expect(refusePowerfulRole(owner.pool)).rejects.toThrow(/owner of tables/);
		await owner.pool.end();
	});
	it('migrating again changes nothing; a changed migration is refused', async () => {
		expect(await migrate(d.ownerUrl)).toEqual([]);
		await d.owner.query(`update migration set hash = 'x'`);
		await expect(migrate(d.ownerUrl)).rejects.toThrow(/another text/);
	});
});

describe('what signs people in', () => {
	it('is nothing the application reads, nor writes down who tried', async () => {
		const { rows } = await d.owner.query<{ name: string }>(
			`select quote_ident(schemaname) || '.' || quote_ident(tablename) as name from pg_tables where schemaname = 'auth'`
		);
		expect(rows.length).toBeGreaterThan(6);
		for (const { name } of rows)
			await expect(d.pool.query(`select * from ${name}`), name).rejects.toThrow(/permission denied/);
		await expect(d.pool.query(`select note_sign_in('a@b.example', '10.0.0.1', 'in')`)).rejects.toThrow(
			/permission denied/
		);
	});
	it('reads nothing of a practice', async () => {
		const signIn = open(d.signInUrl, 1);
		for (const table of PRACTICE_TABLES)
			await expect(signIn.pool.query(`select * from ${table}`), table).rejects.toThrow(/permission denied/);
		await signIn.pool.end();
	});
	it('stays with the application where a server has no role of its own for it, and can be parted later', async () => {
		const own = await cloneOf('template_empty');
		await separateSignIn(own.ownerUrl, false);
		expect((await own.pool.query('select password from auth.account')).rows).toEqual([]);
		await separateSignIn(own.ownerUrl, true);
		await expect(own.pool.query('select password from auth.account')).rejects.toThrow(/permission denied/);
		await own.close();
	});
});
