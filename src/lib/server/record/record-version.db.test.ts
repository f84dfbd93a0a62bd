/** A record that is kept is the record that stands: whatever is written of a client, or of what all share, makes it be read anew. Common practice. */
import { randomUUID } from 'node:crypto';
import { Kysely, PostgresDialect, sql } from 'kysely';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { as, client, cloneOf, value, type TestDatabase } from '../../../../tests/database.ts';
import { logOf } from '../../../../tests/log-of.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { append } from '../db/append.ts';
import { inPracticeOf } from '../db/in-practice.ts';
import { PRACTICE_TABLES } from '../db/migrate.ts';
import { MOST_KEPT, shelfOf, shelfWithin } from '../db/shelf.ts';
import type { Tables } from '../db/tables.ts';
import { recordVersion } from '../repo/record-version-repo.ts';
import type { Context } from '../usecase/actor.ts';
import { logVisit } from '../usecase/log-visit.ts';
import { writing } from '../usecase/writing.ts';
import { headView } from '../view/head-view.ts';
import { slipsByNeed } from '../view/slips-by-need.ts';
import { envelopeOf, evidenceOf } from './evidence-of.ts';
import { regionsOf } from './facts-of.ts';
import { fitContextOf } from './fit-of.ts';
import { loadRecords, type ClientRecord } from './load.ts';
import { readParts, TABLES_OF } from './parts.ts';

let d: TestDatabase;
let physio: Context;
let wren: ClientRecord;
beforeAll(async () => {
	d = await cloneOf('template_demo');
	physio = await as(d, 'physiotherapist');
	wren = await client(physio, 'Wren');
});
afterAll(() => d.close());

const read = (ctx: Context = physio, id = wren.head.id): Promise<ClientRecord | undefined> =>
	ctx.inPractice(async (t) => (await loadRecords(t, id))[0]);
const event = () => ({ id: randomUUID(), client_id: wren.head.id, local_day: physio.today, kind: 'illness' });

describe('a kept record', () => {
	it('is the same until something is written, and then another', async () => {
		const before = await read();
		expect(await read()).toBe(before);
		await physio.inPractice((t) => append(t, 'day_event', event()));
		const after = await read();
		expect(after).not.toBe(before);
		expect(after?.events.length).toBe((before?.events.length ?? 0) + 1);
		expect(await read()).toBe(after);
	});
	it('is read again only where it was written: the rest is what it was', async () => {
		const before = (await read()) as ClientRecord;
		await physio.inPractice((t) => append(t, 'day_event', event()));
		const after = (await read()) as ClientRecord;
		expect(after.events.length).toBe(before.events.length + 1);
		expect(after.head).toBe(before.head);
		expect(after.room).toBe(before.room);
		expect(after.everGiven[0]).toBe(before.everGiven[0]);
		expect(after.measurements[0]).toBe(before.measurements[0]);
		expect(after.logs[0]).toBe(before.logs[0]);
		expect(after.mornings[0]).not.toBe(before.mornings[0]);
		expect(before.logs.length * before.mornings.length * before.measurements.length).toBeGreaterThan(0);
	});
	it('says of each session what it said once another is logged; after another morning each is looked at anew', async () => {
		const evidence = async () => evidenceOf((await read()) as ClientRecord, physio.today);
		const before = await evidence();
		value(await logVisit(physio, logOf((await read()) as ClientRecord, physio.today)));
		const after = await evidence();
		expect(before.length).toBeGreaterThan(3);
		expect(after.length).toBeGreaterThan(before.length);
		before.forEach((e, i) => expect(after[i]).toBe(e));
		const morning = {
			...{ id: randomUUID(), client_id: wren.head.id, local_day: addDays(physio.today, -400) },
			...{ region: regionsOf(wren)[0]!, moment: 'morning', pain: 1, swelling: 'none' }
		};
		await physio.inPractice((t) => append(t, 'checkin', morning as never));
		const anew = await evidence();
		expect(anew).toEqual(after);
		anew.forEach((e, i) => expect(e).not.toBe(after[i]));
	});
	it('is not what was written and taken back', async () => {
		const before = await read();
		let inside: ClientRecord | undefined;
		await expect(
			physio.inPractice(async (t) => {
				await append(t, 'day_event', event());
				[inside] = await loadRecords(t, wren.head.id);
				throw new Error('taken back');
			})
		).rejects.toThrow('taken back');
		expect(inside?.events.length).toBe((before?.events.length ?? 0) + 1);
		expect(await read()).toEqual(before);
	});
	it('stays, when another client’s is written', async () => {
		const before = await read();
		const bertil = (await client(physio, 'Bertil')).head.id;
		await physio.inPractice((t) => append(t, 'day_event', { ...event(), client_id: bertil }));
		expect(await read()).toBe(before);
	});
	it('goes with whatever all share: the rooms, a setting, somebody’s licence', async () => {
		for (const change of [
			`update practice set screening_weeks = 7`,
			`update member set licence_no = 'X1' where 'physiotherapist' = any(roles)`,
			`delete from equipment where id = (select id from equipment limit 1)`
		]) {
			const before = await read();
			await d.owner.query(change);
			expect(await read(), change).not.toBe(before);
		}
	});
	it('is not found where a flag was closed: the closing names the flag alone', async () => {
		const bertil = (await client(physio, 'Bertil')).head.id;
		const flag = {
			id: randomUUID(),
			client_id: bertil,
			local_day: physio.today,
			code: 'night-pain',
			severity: 'red'
		};
		await physio.inPractice((t) => append(t, 'flag', { ...flag, region: null, urgency: null }));
		const open = await read(physio, bertil);
		expect(open?.head.flags.filter((f) => f.open && f.id === flag.id)).toHaveLength(1);
		await physio.inPractice((t) =>
			append(t, 'flag_closing', { id: randomUUID(), flag_id: flag.id, note: 'seen', local_day: physio.today })
		);
		expect((await read(physio, bertil))?.head.flags.filter((f) => f.open && f.id === flag.id)).toEqual([]);
	});
	it('of a transaction that was rolled back is never found, and what stood before is', async () => {
		const before = await read();
		let inside: ClientRecord | undefined;
		await physio
			.inPractice(async (t) => {
				await append(t, 'day_event', event());
				[inside] = await loadRecords(t, wren.head.id);
				throw new Error('no');
			})
			.catch(() => undefined);
		expect(inside?.events.length).toBe((before?.events.length ?? 0) + 1);
		expect((await read())?.events).toEqual(before?.events);
		// Written anew: not the one that was never kept.
		await physio.inPractice((t) => append(t, 'day_event', event()));
		expect(await read()).not.toBe(inside);
	});
	it('of somebody who was put away, or erased, is not shown', async () => {
		const lotte = (await client(physio, 'Lotte')).head.id;
		await read(physio, lotte);
		await d.owner.query(`update client set status = 'archived' where id = $1`, [lotte]);
		expect(await read(physio, lotte)).toBeUndefined();
		await d.owner.query(`update client set status = 'active' where id = $1`, [lotte]);
		expect(await read(physio, lotte)).toBeDefined();
		await d.owner.query('select take_apart($1, $2)', [physio.actor.practiceId, lotte]);
		expect(await read(physio, lotte)).toBeUndefined();
		expect((await d.owner.query('select 1 from record_version where id = $1', [lotte])).rowCount).toBe(0);
	});
	it('of somebody who was put away is read where it is asked for so, and left on no shelf', async () => {
		const odile = (await client(physio, 'Odile')).head.id;
		await d.owner.query(`update client set status = 'archived' where id = $1`, [odile]);
		const away = await physio.inPractice(async (t) => (await loadRecords(t, odile, true))[0]);
		expect(away?.head.id).toBe(odile);
		expect(await read(physio, odile)).toBeUndefined();
		await d.owner.query(`update client set status = 'active' where id = $1`, [odile]);
	});
	it('is nobody’s who may not see the client, and of a client’s own page apart from the practice’s', async () => {
		const kept = await read();
		const { practiceId, memberId } = physio.actor;
		const own = { ...physio, inPractice: inPracticeOf(d.db, practiceId, memberId, { client: wren.head.id }) };
		expect(await read(own)).not.toBe(kept);
		const other = await client(physio, 'Bertil');
		expect(await read(own, other.head.id)).toBeUndefined();
		const elsewhere = { ...physio, inPractice: inPracticeOf(d.db, randomUUID(), memberId) };
		expect(await read(elsewhere)).toBeUndefined();
	});
	it('is the same whoever of the practice reads it: what differs between them is no part of it', async () => {
		const trainer = await as(d, 'trainer');
		expect(trainer.actor.memberId).not.toBe(physio.actor.memberId);
		// As a list it is read anew each time.
		const anew = (ctx: Context) => ctx.inPractice(async (t) => loadRecords(t, [wren.head.id]));
		expect(await anew(trainer)).toEqual(await anew(physio));
		expect(await read(trainer)).toBe(await read(physio));
	});
	it('says another thing on another day', async () => {
		const r = (await read()) as ClientRecord;
		const later = addDays(physio.today, 200);
		const now = headView(r, true, physio.today);
		expect(headView(r, true, physio.today)).toBe(now);
		expect(headView(r, false, physio.today).licensed).toBe(false);
		expect(headView(r, true, later)).toMatchObject({ today: later });
		expect(fitContextOf(r, later).today).toBe(later);
		expect(evidenceOf(r, later)).not.toBe(evidenceOf(r, physio.today));
		expect(envelopeOf(r, later)).not.toBe(envelopeOf(r, physio.today));
		expect(slipsByNeed(r, later).map((s) => s.input.today)).toEqual(r.exercises.map(() => later));
	});
	it('says it as whoever reads writes it', async () => {
		const r = (await read()) as ClientRecord;
		const imperial = writing({ units: 'imperial', dateOrder: 'month-day' }, () =>
			headView(r, true, physio.today)
		);
		expect(headView(r, true, physio.today).build).toMatch(/cm/);
		expect(imperial.build).toMatch(/in|ft/);
	});
	it('cannot be changed by whoever was given it', async () => {
		const kept = (await read()) as unknown as { logs: unknown[]; head: { name: string } };
		expect(() => kept.logs.push(1)).toThrow(TypeError);
		expect(() => (kept.head.name = 'x')).toThrow(TypeError);
	});
});

describe('what each part is read from', () => {
	it('is what it is kept by: the tables in its question', async () => {
		const asked: string[] = [];
		const watched = new Kysely<Tables>({
			dialect: new PostgresDialect({ pool: d.pool }),
			log: (e) => void asked.push(e.query.sql)
		});
		const { practiceId, memberId } = physio.actor;
		await inPracticeOf(watched, practiceId, memberId)((t) => readParts(t, wren.head.id));
		const questions = asked.filter((text) => text.includes('select') && !text.startsWith('begin'));
		const tables = new Set([...PRACTICE_TABLES, 'practice']);
		const found = questions.map((text) =>
			[...new Set([...text.matchAll(/\b(?:from|join)\s+"?(\w+)"?/g)].map((m) => m[1] as string))]
				.filter((name) => tables.has(name))
				.sort()
		);
		expect(found).toEqual(Object.values(TABLES_OF).map((names) => [...names].sort()));
	});
	it('has its number after whatever is written there', async () => {
		const numbers = async () => {
			const v = await physio.inPractice((t) => recordVersion(t, wren.head.id));
			return { ...v?.shared, ...v?.own };
		};
		const before = await numbers();
		await physio.inPractice((t) => append(t, 'day_event', event()));
		await d.owner.query(`update equipment set label = label where id = (select id from equipment limit 1)`);
		const after = await numbers();
		const other = Object.keys(after).filter((table) => after[table] !== before[table]);
		expect(other.sort()).toEqual(['day_event', 'equipment']);
	});
});

describe('what watches', () => {
	it('stands on every table of a practice but those that are no part of a record', async () => {
		const { rows } = await d.owner.query<{ name: string }>(
			`select c.relname as name from pg_trigger g join pg_class c on c.oid = g.tgrelid where g.tgname = 'record_changed'`
		);
		const watched = new Set(rows.map((r) => r.name));
		expect(PRACTICE_TABLES.filter((t) => !watched.has(t)).sort()).toEqual([
			'access_log',
			'erasure',
			'invitation',
			'nudge',
			'practice_change',
			'receipt',
			'record_version',
			'refused_look',
			'sign_in',
			'standing'
		]);
		expect(watched.has('practice')).toBe(true);
	});
	it('is not written by the application', async () => {
		for (const write of [
			sql`update record_version set version = 1`,
			sql`insert into record_version (practice_id, id, version) values (${physio.actor.practiceId}, ${randomUUID()}, 1)`,
			sql`delete from record_version`
		])
			await expect(physio.inPractice((t) => write.execute(t.trx))).rejects.toThrow(/permission denied/);
	});
});

describe('a shelf', () => {
	it('keeps so many, the last used; another reader or database finds nothing', () => {
		const db = {};
		const shelf = shelfOf(db, 'a');
		for (let i = 0; i < MOST_KEPT; i++) shelf.put(`k${i}`, i);
		expect(shelf.find('k0')).toBe(0);
		shelf.put('one more', 'x');
		// The oldest that was not used since went.
		expect(shelf.find('k1')).toBeUndefined();
		expect(shelf.find('k0')).toBe(0);
		expect(shelf.find('k2')).toBe(2);
		expect(shelfOf(db, 'b').find('k2')).toBeUndefined();
		expect(shelfOf({}, 'a').find('k2')).toBeUndefined();
		expect(shelfOf(db, 'a').find('k2')).toBe(2);
	});
	it('of a transaction has at once what was put there, and gives it on when that is over', () => {
		const shelf = shelfOf({}, 'a');
		shelf.put('k', 1);
		const within = shelfWithin(shelf);
		within.put('k', 2);
		expect([within.find('k'), within.find('other'), shelf.find('k')]).toEqual([2, undefined, 1]);
		within.keep();
		expect(shelf.find('k')).toBe(2);
	});
});
