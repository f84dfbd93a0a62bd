/** A backup is what stood, checked by reading it back; what is cut short, of another version or under a running server changes nothing. */
import { mkdtempSync, readdirSync, readFileSync, rmSync, truncateSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import pg from 'pg';
import { afterEach, beforeEach, describe, expect, inject, it } from 'vitest';
import { cloneOf, type TestDatabase } from '../../../../tests/database.ts';
import { ensurePostgres } from '../../../../scripts/cluster.mjs';
import { backUp, backupsIn, restore, retained, tidy, type Where } from './backup.ts';
import { examine, hoursSinceBackup } from './doctor.ts';

const NOW = new Date('2026-03-12T09:00:00Z');
let d: TestDatabase;
let where: Where;
let database: string;
let closed = false;
const close = async (): Promise<void> => {
	if (!closed) await d.close();
	closed = true;
};
beforeEach(async () => {
	closed = false;
	d = await cloneOf('template_demo');
	database = (await d.pool.query<{ name: string }>('select current_database() as name')).rows[0]!.name;
	where = {
		superUrl: inject('superUrl'),
		database,
		owner: 'bolster_owner',
		bin: ensurePostgres(),
		folder: mkdtempSync(join(tmpdir(), 'backups-'))
	};
});
afterEach(async () => {
	await close();
	rmSync(where.folder, { recursive: true, force: true });
});
const clients = async (): Promise<number> => {
	const client = new pg.Client({ connectionString: inject('superUrl').replace(/\/[^/]*$/, `/${database}`) });
	await client.connect();
	const { rows } = await client.query<{ n: number }>('select count(*)::int as n from client');
	await client.end();
	return rows[0]!.n;
};

describe('a backup', () => {
	it('is read back whole before it counts, and brings back what was lost', async () => {
		const before = await clients();
		const made = await backUp(where, NOW);
		expect(made.tables['public.client']?.rows).toBe(before);
		expect(Object.keys(made.tables)).toEqual(expect.arrayContaining(['auth."user"', 'public.decision']));
		expect(readdirSync(where.folder).sort()).toEqual([
			'bolster-2026-03-12T090000Z.dump',
			'bolster-2026-03-12T090000Z.dump.json'
		]);
		await d.owner.query('truncate client cascade');
		expect(await clients()).toBe(0);
		await expect(restore(where, made.file, NOW)).rejects.toThrow(/still running/);
		expect(await clients()).toBe(0);
		await close();
		const done = await restore(where, made.file, NOW);
		expect(await clients()).toBe(before);
		expect(done.before).toBe('bolster_before_20260312090000');
	});
	it('waits for a session that is just ending: who stopped the server need not wait for it', async () => {
		const made = await backUp(where, NOW);
		await close();
		const last = new pg.Client({ connectionString: inject('superUrl').replace(/\/[^/]*$/, `/${database}`) });
		await last.connect();
		const ended = sleep(500).then(() => last.end());
		const later = new Date(NOW.getTime() + 60_000);
		expect((await restore(where, made.file, later)).before).toBe('bolster_before_20260312090100');
		await ended;
	});
	it('that is cut short, is none, or is of a newer version is refused, and nothing is changed', async () => {
		const made = await backUp(where, NOW);
		const before = await clients();
		await close();
		await expect(restore(where, `${made.file}.gone`, NOW)).rejects.toThrow(/there is no file/);
		const whole = readFileSync(made.file);
		truncateSync(made.file, 30_000);
		await expect(restore(where, made.file, NOW)).rejects.toThrow(/cut short/);
		// Without what was written beside it, the file itself says so.
		rmSync(`${made.file}.json`);
		await expect(restore(where, made.file, NOW)).rejects.toThrow();
		writeFileSync(made.file, 'not a dump');
		await expect(restore(where, made.file, NOW)).rejects.toThrow();
		writeFileSync(made.file, whole);
		expect(await clients()).toBe(before);
	});
	it('of a newer program is not put under an older one', async () => {
		await d.owner.query(`insert into migration (name, hash) values ('9999-of-tomorrow', 'x')`);
		const made = await backUp(where, NOW);
		await close();
		await expect(restore(where, made.file, NOW)).rejects.toThrow(/newer version \(9999-of-tomorrow\)/);
	});
	it('that fails leaves nothing that looks like one, nor a scratch database', async () => {
		const broken = { ...where, bin: dirname(where.bin) };
		await expect(backUp(broken, NOW)).rejects.toThrow();
		expect(backupsIn(where.folder)).toEqual([]);
		expect(readdirSync(where.folder)).toEqual([]);
		const { rows } = await d.owner.query(`select 1 from pg_database where datname like 'bolster_scratch%'`);
		expect(rows).toEqual([]);
	});
});

describe('what is kept', () => {
	const made = (madeAt: string) => ({ file: madeAt, madeAt });
	it('two weeks of days, and one of each month for a year', () => {
		const days = Array.from({ length: 500 }, (_, i) =>
			made(new Date(NOW.getTime() - i * 86_400_000).toISOString())
		);
		const kept = [...retained(days)];
		// The newest of two months are among the days.
		expect(kept).toHaveLength(14 + 10);
		expect(kept.slice(0, 14)).toEqual(days.slice(0, 14).map((x) => x.file));
		expect(new Set(kept.map((f) => f.slice(0, 7))).size).toBe(12);
		expect(retained([]).size).toBe(0);
	});
	it('the rest goes, file and what stands beside it', () => {
		const write = (i: number): void => {
			const madeAt = new Date(NOW.getTime() - i * 86_400_000).toISOString();
			const file = join(where.folder, `bolster-${i}.dump`);
			writeFileSync(file, '');
			writeFileSync(
				`${file}.json`,
				JSON.stringify({ madeAt, tables: {}, migrations: [], bytes: 0, sha256: '' })
			);
		};
		for (let i = 0; i < 16; i++) write(i);
		expect(tidy(where.folder).map((f) => f.split('/').at(-1))).toEqual([
			'bolster-14.dump',
			'bolster-15.dump'
		]);
		expect(readdirSync(where.folder)).toHaveLength(28);
		expect(hoursSinceBackup(where.folder, new Date(NOW.getTime() + 3 * 3_600_000))).toBe(3);
	});
});

describe('the doctor', () => {
	const asked = (patch: object = {}) => ({
		ownerUrl: d.ownerUrl,
		home: tmpdir(),
		backups: where.folder,
		secret: 'x'.repeat(40),
		mail: {},
		now: new Date(),
		...patch
	});
	const ill = async (patch: object = {}) =>
		(await examine(asked(patch))).filter((f) => !f.well).map((f) => f.about);
	it('finds what is wrong, and nothing that is not', async () => {
		expect(await ill()).toEqual(['backup']);
		await backUp(where, new Date());
		expect(await ill()).toEqual([]);
		expect(await ill({ secret: 'short' })).toEqual(['secret']);
		// Nobody listens there.
		expect(await ill({ mail: { SMTP_URL: 'smtp://127.0.0.1:1' } })).toEqual(['mail']);
		expect(await ill({ now: new Date(Date.now() + 10_000) })).toEqual(['clock']);
		expect(await ill({ now: new Date(Date.now() + 37 * 3_600_000) })).toEqual(['clock', 'backup']);
		expect(await ill({ ownerUrl: 'postgres://nobody@127.0.0.1:1/none' })).toEqual(['database']);
		await d.owner.query(`delete from migration where name like '0009%'`);
		expect(await ill()).toEqual(['database']);
	});
});
