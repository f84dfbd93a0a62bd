/**
 * Backups of the whole database: dumped from one snapshot, restored into a scratch database, and believed only once every table counts and hashes the same.
 * A restore is made beside what stands and takes its place in one step; what stood is kept under another name.
 */
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
	existsSync,
	mkdirSync,
	readdirSync,
	readFileSync,
	renameSync,
	rmSync,
	statSync,
	writeFileSync
} from 'node:fs';
import { basename, join } from 'node:path';
import { setTimeout as sleep } from 'node:timers/promises';
import pg from 'pg';
import { KNOWN_MIGRATIONS } from '../db/migrate.ts';

export interface Where {
	/** As superuser, to any database of the cluster. */
	readonly superUrl: string;
	readonly database: string;
	/** The role that owns it; a copy belongs to the same one. */
	readonly owner: string;
	/** The folder of pg_dump and pg_restore. */
	readonly bin: string;
	readonly folder: string;
}

/** What a backup holds, beside it: by table how many rows, and a hash over them. */
export interface Contents {
	readonly madeAt: string;
	readonly sha256: string;
	readonly bytes: number;
	readonly tables: Readonly<Record<string, { readonly rows: number; readonly hash: string }>>;
	readonly migrations: readonly string[];
}

export interface Kept extends Contents {
	readonly file: string;
}

export class BackupFailed extends Error {}

const urlOf = (superUrl: string, database: string): string => {
	const url = new URL(superUrl);
	url.pathname = `/${database}`;
	return url.href;
};

async function connected<T>(url: string, work: (c: pg.Client) => Promise<T>): Promise<T> {
	const client = new pg.Client({ connectionString: url });
	client.on('error', () => undefined);
	await client.connect();
	try {
		return await work(client);
	} finally {
		await client.end();
	}
}

/** Every table, those of signing in among them. */
const TABLES = `select quote_ident(schemaname) || '.' || quote_ident(tablename) as name from pg_tables
	where schemaname not in ('pg_catalog', 'information_schema') order by 1`;

async function contentsOf(c: pg.Client): Promise<Pick<Contents, 'tables' | 'migrations'>> {
	const { rows } = await c.query<{ name: string }>(TABLES);
	const tables: Record<string, { rows: number; hash: string }> = {};
	for (const { name } of rows) {
		const found = await c.query<{ n: string; hash: string }>(
			`select count(*)::text as n, md5(coalesce(string_agg(h, '' order by h), '')) as hash from (select md5(t::text) as h from ${name} t) x`
		);
		tables[name] = { rows: Number(found.rows[0]?.n), hash: found.rows[0]?.hash ?? '' };
	}
	const migrations = (await c.query<{ name: string }>('select name from migration order by name')).rows;
	return { tables, migrations: migrations.map((m) => m.name) };
}

/** Runs a program of PostgreSQL on a database; the password goes by the environment, where no list of processes shows it. */
function run(program: string, url: string, args: readonly string[]): void {
	const at = new URL(url);
	const PGPASSWORD = decodeURIComponent(at.password);
	at.password = '';
	const { status, stderr, error } = spawnSync(program, ['-d', at.href, ...args], {
		encoding: 'utf8',
		env: { ...process.env, PGPASSWORD }
	});
	if (status !== 0) throw new BackupFailed((error?.message ?? stderr).trim().slice(0, 600));
}

const quoted = (identifier: string): string => `"${identifier.replaceAll('"', '""')}"`;

const scratchName = (): string => `bolster_scratch_${process.pid}_${Date.now().toString(36)}`;

async function inScratch<T>(
	{ superUrl, bin, owner }: Where,
	file: string,
	work: (url: string, name: string) => Promise<T>
): Promise<T> {
	const name = scratchName();
	await connected(superUrl, (c) => c.query(`create database ${name} owner ${quoted(owner)}`));
	try {
		run(join(bin, 'pg_restore'), urlOf(superUrl, name), ['--exit-on-error', file]);
		return await work(urlOf(superUrl, name), name);
	} finally {
		// Gone already where it took the place of what stood.
		await connected(superUrl, (c) => c.query(`drop database if exists ${name}`));
	}
}

const differing = (a: Contents['tables'], b: Contents['tables']): readonly string[] =>
	[...new Set([...Object.keys(a), ...Object.keys(b)])].filter(
		(t) => a[t]?.rows !== b[t]?.rows || a[t]?.hash !== b[t]?.hash
	);

const sha256 = (file: string): string => createHash('sha256').update(readFileSync(file)).digest('hex');

/** Makes one, checks it by restoring it, and answers what it holds. What failed leaves no file that looks like a backup. */
export async function backUp(where: Where, now: Date): Promise<Kept> {
	const { superUrl, database, bin, folder } = where;
	mkdirSync(folder, { recursive: true, mode: 0o700 });
	const file = join(folder, `bolster-${now.toISOString().slice(0, 19).replaceAll(':', '')}Z.dump`);
	const part = `${file}.part`;
	try {
		const held = await connected(urlOf(superUrl, database), async (c) => {
			await c.query('begin isolation level repeatable read read only');
			const { rows } = await c.query<{ id: string }>('select pg_export_snapshot() as id');
			run(join(bin, 'pg_dump'), urlOf(superUrl, database), ['-Fc', `--snapshot=${rows[0]?.id}`, '-f', part]);
			return contentsOf(c);
		});
		const back = await inScratch(where, part, (url) => connected(url, contentsOf));
		const wrong = differing(held.tables, back.tables);
		if (wrong.length > 0) throw new BackupFailed(`restored it differs in ${wrong.join(', ')}`);
		const contents: Contents = {
			madeAt: now.toISOString(),
			sha256: sha256(part),
			bytes: statSync(part).size,
			...held
		};
		writeFileSync(`${file}.json`, JSON.stringify(contents, null, 1), { mode: 0o600 });
		renameSync(part, file);
		return { file, ...contents };
	} finally {
		rmSync(part, { force: true });
	}
}

/** Backups of a folder that are whole by name, newest first. */
export function backupsIn(folder: string): readonly Kept[] {
	if (!existsSync(folder)) return [];
	return readdirSync(folder)
		.filter((n) => n.endsWith('.dump') && existsSync(join(folder, `${n}.json`)))
		.map((n): Kept => ({
			file: join(folder, n),
			...(JSON.parse(readFileSync(join(folder, `${n}.json`), 'utf8')) as Contents)
		}))
		.sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1));
}

/** Daily ones for two weeks, then one of each month for a year. @source practice-setting */
const DAILY = 14;
const MONTHLY = 12;

/** Which of them are kept, newest first. */
export function retained(all: readonly Pick<Kept, 'file' | 'madeAt'>[]): ReadonlySet<string> {
	const months = new Map<string, string>();
	for (const b of all) if (!months.has(b.madeAt.slice(0, 7))) months.set(b.madeAt.slice(0, 7), b.file);
	return new Set([...all.slice(0, DAILY).map((b) => b.file), ...[...months.values()].slice(0, MONTHLY)]);
}

export function tidy(folder: string): readonly string[] {
	const all = backupsIn(folder);
	const keep = retained(all);
	const gone = all.filter((b) => !keep.has(b.file)).map((b) => b.file);
	for (const file of gone) {
		rmSync(file);
		rmSync(`${file}.json`);
	}
	return gone;
}

/** For how long a session that is ending is waited for, ms: as long as the database itself waits before it renames one. */
const ENDING_MS = 5_000;

/**
 * Whether a program is still at work in a database, so that nothing is taken from under it. The database's own workers are none, and a session
 * that was closed is listed until it has ended, a moment on.
 */
async function busy(superUrl: string, database: string): Promise<boolean> {
	return connected(superUrl, async (c) => {
		const until = Date.now() + ENDING_MS;
		for (;;) {
			const { rows } = await c.query(
				`select 1 from pg_stat_activity where datname = $1 and backend_type = 'client backend'`,
				[database]
			);
			if (rows.length === 0 || Date.now() > until) return rows.length > 0;
			await sleep(100);
		}
	});
}

/** Puts a backup in the place of what stands, which is kept; answers under which name. Refused with what is wrong, nothing is changed. */
export async function restore(where: Where, file: string, now: Date): Promise<{ readonly before: string }> {
	const { superUrl, database } = where;
	const named = quoted(database);
	if (!existsSync(file)) throw new BackupFailed(`there is no file ${file}`);
	const beside = `${file}.json`;
	const held = existsSync(beside) ? (JSON.parse(readFileSync(beside, 'utf8')) as Contents) : undefined;
	if (held !== undefined && held.sha256 !== sha256(file))
		throw new BackupFailed(`${basename(file)} is not what was written: it was cut short or changed`);
	if (await busy(superUrl, database))
		throw new BackupFailed('the server is still running on this database: stop it first');
	return inScratch(where, file, async (url, name) => {
		const found = await connected(url, contentsOf).catch(() => {
			throw new BackupFailed(`${basename(file)} is no backup of Bolster`);
		});
		const newer = found.migrations.filter((m) => !KNOWN_MIGRATIONS.includes(m));
		if (newer.length > 0)
			throw new BackupFailed(
				`the backup is of a newer version (${newer.join(', ')}): update the program first`
			);
		const wrong = held === undefined ? [] : differing(held.tables, found.tables);
		if (wrong.length > 0) throw new BackupFailed(`restored it differs in ${wrong.join(', ')}`);
		const before = `bolster_before_${now.toISOString().slice(0, 19).replaceAll(/\D/g, '')}`;
		await connected(superUrl, async (c) => {
			await c.query(`alter database ${named} rename to ${before}`);
			await c.query(`alter database ${name} rename to ${named}`).catch(async (e: unknown) => {
				await c.query(`alter database ${before} rename to ${named}`);
				throw e;
			});
		});
		return { before };
	});
}
