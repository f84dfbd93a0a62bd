/** The end of a record: by two people, not before its time, for good, and again after a restore. Common practice; health-record laws ask no less. */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { as, client, demoForEach, value, type TestDatabase } from '../../../../tests/database.ts';
import { erasuresIn, keepErasures, replayErasures } from '../keep/erasures.ts';
import { looks } from '../repo/access-repo.ts';
import type { Context } from './actor.ts';
import {
	agreeErasure,
	askErasure,
	keepErasedOutside,
	showRecordEnds,
	withdrawErasure,
	type EraseAsked
} from './erase-client.ts';
import { registerClient } from './register-client.ts';
import { noteRefusedLook, showAccess } from './show-access.ts';
import { showClient } from './show-client.ts';

let d: TestDatabase;
let physio: Context;
let trainer: Context;
let owner: Context;
let folder: string;
demoForEach((made) => ({ d, physio, trainer } = made));
beforeEach(async () => {
	owner = await as(d, 'owner');
	folder = mkdtempSync(join(tmpdir(), 'erasures-'));
	// The two of the demo are licensed to a day of its own time; the door asks today's.
	await d.owner.query(`update member set licensed_until = '2099-01-01' where licensed_until is not null`);
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const ask = (clientId: string, patch: Partial<EraseAsked> = {}, ctx = physio) =>
	askErasure(ctx, {
		...{ id: randomUUID(), clientId, because: 'kept-long-enough' as const, why: 'asked for by letter' },
		...patch
	});
const ends = async (ctx = owner) => value(await showRecordEnds(ctx));
const agree = async (ctx = owner) =>
	agreeErasure(ctx, { id: randomUUID(), requestId: (await ends()).requests[0]?.id ?? randomUUID() });
/** As if the record had been kept for long. */
const old = () => d.owner.query('update practice set retention_years = 0');
const rowsOf = async (id: string): Promise<number> => {
	const { rows } = await d.owner.query<{ name: string }>(
		`select table_name as name from information_schema.columns where table_schema = 'public' and column_name = 'client_id'`
	);
	let n = 0;
	for (const { name } of rows)
		n += (
			await d.owner.query<{ n: number }>(`select count(*)::int as n from ${name} where client_id = $1`, [id])
		).rows[0]!.n;
	return n;
};

describe('erasing a client', () => {
	it('takes two people, leaves an id, and nothing of anybody else goes', async () => {
		const amos = (await client(physio, 'Amos')).head.id;
		const wren = (await client(physio, 'Wren')).head.id;
		const kept = await rowsOf(wren);
		expect(await rowsOf(amos)).toBeGreaterThan(50);
		await old();
		value(await ask(amos));
		expect(await agree(physio)).toMatchObject({
			refusal: { message: expect.stringContaining('Somebody else agrees') as string }
		});
		expect(await agree(trainer)).toMatchObject({ refusal: { why: 'not-allowed' } });
		const { rows } = value(await agree());
		expect(rows).toBeGreaterThan(50);
		expect([await rowsOf(amos), await rowsOf(wren)]).toEqual([0, kept]);
		expect(await showClient(physio, amos, 'test', () => null)).toMatchObject({
			refusal: { why: 'not-found' }
		});
		for (const table of ['client', 'standing', 'person'])
			expect((await d.owner.query(`select 1 from ${table} where id = $1`, [amos])).rowCount, table).toBe(0);
		expect((await ends()).erased).toMatchObject([
			{ clientId: amos, askedBy: physio.actor.name, agreedBy: owner.actor.name, rows }
		]);
		expect((await ends()).requests).toEqual([]);
		expect(await agree()).toMatchObject({ refusal: { why: 'conflict' } });
	});
	it('not before the record was kept as long as it must be; by mistake only what nobody worked with', async () => {
		const amos = (await client(physio, 'Amos')).head.id;
		expect(await ask(amos)).toMatchObject({
			refusal: { field: 'because', message: expect.stringContaining('may be erased from') as string }
		});
		expect(await ask(amos, { because: 'mistaken' })).toMatchObject({ refusal: { field: 'because' } });
		const wrong = randomUUID();
		value(
			await registerClient(physio, {
				...{ id: wrong, personId: randomUUID(), settingId: randomUUID(), name: 'Twice Registered' },
				...{ born: '1980-01-01', heightCm: 170, massKg: 70, technique: null, policyId: 'pain-monitored' },
				...{ frontOfKnee: false, usual: {} },
				consents: [{ id: randomUUID(), purpose: 'keep-record', given: true }]
			})
		);
		value(await ask(wrong, { because: 'mistaken' }));
		expect(await ask(wrong, { because: 'mistaken' }, owner)).toMatchObject({ refusal: { why: 'conflict' } });
		value(await agree());
		expect(await rowsOf(wrong)).toBe(0);
	});
	it('what was asked can be taken back, and what changed meanwhile is asked once more', async () => {
		const amos = (await client(physio, 'Amos')).head.id;
		await old();
		value(await ask(amos));
		const [request] = (await ends()).requests;
		value(await withdrawErasure(owner, { id: randomUUID(), requestId: request!.id }));
		expect(await agreeErasure(owner, { id: randomUUID(), requestId: request!.id })).toMatchObject({
			refusal: { why: 'conflict' }
		});
		value(await ask(amos));
		await d.owner.query('update practice set retention_years = 8');
		expect(await agree()).toMatchObject({ refusal: { why: 'invalid' } });
		expect(await rowsOf(amos)).toBeGreaterThan(50);
	});
	it('between the two there is an owner and a valid licence, both of today', async () => {
		const amos = (await client(physio, 'Amos')).head.id;
		await old();
		value(await ask(amos));
		const said = async () => {
			const done = await agree();
			return done.ok ? 'done' : done.refusal.message;
		};
		await d.owner.query(
			`update member set licensed_until = current_date - 1 where licensed_until is not null`
		);
		expect(await said()).toMatch(/valid licence/);
		await d.owner.query(`update member set licensed_until = current_date where licensed_until is not null`);
		await d.owner.query(`update member set ended_at = current_date where id = $1`, [physio.actor.memberId]);
		expect(await said()).toMatch(/valid licence/);
		await d.owner.query(`update member set ended_at = null`);
		expect(await said()).toBe('done');
	});
	it('who is alone and both sleeps on it', async () => {
		const amos = (await client(physio, 'Amos')).head.id;
		await old();
		await d.owner.query(`update member set ended_at = '2026-01-01' where id <> $1`, [physio.actor.memberId]);
		await d.owner.query(`update member set roles = '{physiotherapist,owner}' where id = $1`, [
			physio.actor.memberId
		]);
		value(await ask(amos));
		expect(await agree(physio)).toMatchObject({
			refusal: { message: expect.stringContaining('sleep on it') as string }
		});
		await d.owner.query(`update erasure_request set recorded_at = now() - interval '23 hours'`);
		expect(await agree(physio)).toMatchObject({ ok: false });
		await d.owner.query(`update erasure_request set recorded_at = now() - interval '25 hours'`);
		value(await agree(physio));
	});
	it('is offered of those put away whose time has come', async () => {
		await old();
		expect((await ends()).due).toEqual([]);
		await d.owner.query(
			`update client set status = 'archived' where id = (select client_id from person where name like 'Amos%')`
		);
		expect((await ends()).due).toMatchObject([{ name: expect.stringContaining('Amos') as string }]);
		await d.owner.query('update practice set retention_years = 1');
		expect((await ends()).due).toEqual([]);
		expect(await showRecordEnds(trainer)).toMatchObject({ refusal: { why: 'not-allowed' } });
	});
	it('the application erases through that door alone', async () => {
		await expect(d.pool.query('delete from person')).rejects.toThrow(/permission denied/);
		await expect(d.pool.query(`select take_apart(gen_random_uuid(), gen_random_uuid())`)).rejects.toThrow(
			/permission denied/
		);
		await expect(
			d.pool.query(
				`insert into erasure (practice_id, id, because, asked_by, agreed_by, rows) values (gen_random_uuid(), gen_random_uuid(), 'x', gen_random_uuid(), gen_random_uuid(), 0)`
			)
		).rejects.toThrow(/permission denied/);
	});
});

describe('kept outside the database', () => {
	it('a restored backup erases them again, and the file survives half a line', async () => {
		const file = join(folder, 'erasures.jsonl');
		const amos = (await client(physio, 'Amos')).head.id;
		const wren = (await client(physio, 'Wren')).head.id;
		// As after a restore: the file knows, the database does not.
		keepErasures(file, [{ practice: owner.actor.practiceId, client: amos, at: '2026-03-12T10:00:00.000Z' }]);
		writeFileSync(file, `${readFileSync(file, 'utf8')}{"practice":"cut sh`);
		expect(await replayErasures(d.ownerUrl, file)).toBe(1);
		expect([await rowsOf(amos), (await rowsOf(wren)) > 0]).toEqual([0, true]);
		expect(await replayErasures(d.ownerUrl, file)).toBe(0);
		// And the other way: what the database knows stands in the file.
		await old();
		value(await ask(wren));
		value(await agree());
		await keepErasedOutside(owner, file);
		expect(
			erasuresIn(file)
				.map((e) => e.client)
				.sort()
		).toEqual([amos, wren].sort());
		rmSync(file);
		expect(await replayErasures(d.ownerUrl, file)).toBe(0);
		expect(erasuresIn(file)).toHaveLength(2);
	});
});

describe('the access log', () => {
	it('is read by who may: readings of a record, signings in, refused looks, newest first', async () => {
		const amos = await client(physio, 'Amos');
		value(await showClient(physio, amos.head.id, 'plan', () => null));
		await noteRefusedLook(trainer, '/practice/people', 'To manage people takes a owner');
		await d.owner.query(`select note_sign_in('PHYSIO@tidewater.example', '10.0.0.1', 'wrong')`);
		const { looks: all, more } = value(await showAccess(owner));
		expect(more).toBe(false);
		expect(all.map((x) => [x.kind, x.by])).toEqual(
			expect.arrayContaining([
				['refused', trainer.actor.name],
				['record', physio.actor.name],
				['sign-in', physio.actor.name]
			])
		);
		expect([...all].sort((a, b) => +b.at - +a.at)).toEqual(all);
		const { looks: one } = value(await showAccess(physio, { clientId: amos.head.id }));
		expect(new Set(one.map((x) => x.client))).toEqual(new Set([amos.head.name]));
		expect(one[0]).toMatchObject({ what: 'plan' });
		expect(await showAccess(trainer)).toMatchObject({ refusal: { why: 'not-allowed' } });
		const none = await physio.inPractice((t) => looks(t, { most: 10, before: new Date(0) }));
		expect(none).toEqual([]);
	});
});
