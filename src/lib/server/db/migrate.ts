/**
 * Migrations, in order, each in one transaction, under an advisory lock on a direct connection of the owner role. A migration that
 * was applied is never changed: another text under the same name is refused.
 */
import { createHash } from 'node:crypto';
import pg from 'pg';
import * as foundation from './migrations/0001-foundation.ts';
import * as intake from './migrations/0002-intake.ts';
import * as catalogue from './migrations/0003-catalogue.ts';
import * as binding from './migrations/0004-binding.ts';
import * as standing from './migrations/0005-standing.ts';
import * as exercises from './migrations/0006-exercises.ts';
import * as history from './migrations/0007-history.ts';
import * as notes from './migrations/0008-notes.ts';
import * as practice from './migrations/0009-practice.ts';
import * as rights from './migrations/0010-rights.ts';
import * as leftOut from './migrations/0011-left-out.ts';
import * as passkeys from './migrations/0012-passkeys.ts';
import * as courses from './migrations/0013-courses.ts';
import * as weekAndLink from './migrations/0014-week-and-link.ts';
import * as heardBack from './migrations/0015-heard-back.ts';
import * as jobs from './migrations/0016-jobs.ts';
import * as sessions from './migrations/0017-sessions.ts';
import * as ownCourses from './migrations/0018-own-courses.ts';
import * as straps from './migrations/0019-straps.ts';
import * as blocks from './migrations/0020-blocks.ts';
import * as recordVersion from './migrations/0021-record-version.ts';
import * as recordParts from './migrations/0022-record-parts.ts';
import * as judgedOnce from './migrations/0023-judged-once.ts';
import * as commandBegins from './migrations/0024-command-begins.ts';
import * as logsInOrder from './migrations/0025-logs-in-order.ts';

const MIGRATIONS = [
	foundation,
	intake,
	catalogue,
	binding,
	standing,
	exercises,
	history,
	notes,
	practice,
	rights,
	leftOut,
	passkeys,
	courses,
	weekAndLink,
	heardBack,
	jobs,
	sessions,
	ownCourses,
	straps,
	blocks,
	recordVersion,
	recordParts,
	judgedOnce,
	commandBegins,
	logsInOrder
] as const;

/** For tests: what belongs to a practice, and what of it is appended. */
export const PRACTICE_TABLES = MIGRATIONS.flatMap((m) => m.TABLES).map((t) => t.name);
export const APPENDED_TABLES = MIGRATIONS.flatMap((m) => m.TABLES)
	.filter((t) => t.appended === true)
	.map((t) => t.name);
/** The newest one: a database without it is older than the program. */
export const LAST_MIGRATION = commandBegins.name;
/** Every migration this program knows, oldest first. */
export const KNOWN_MIGRATIONS: readonly string[] = MIGRATIONS.map((m) => m.name);
const LOCK = 7_204_311;

const hashOf = (sql: string): string => createHash('sha256').update(sql).digest('hex');

/** Applies what is missing; answers the names applied now. `beforeChange` is called once if anything is to be applied to a database that already has data. */
export async function migrate(
	ownerUrl: string,
	beforeChange?: () => void | Promise<void>
): Promise<readonly string[]> {
	const client = new pg.Client({ connectionString: ownerUrl });
	await client.connect();
	try {
		await client.query('select pg_advisory_lock($1)', [LOCK]);
		await client.query(
			'create table if not exists migration (name text primary key, hash text not null, applied_at timestamptz not null default now())'
		);
		const { rows } = await client.query<{ name: string; hash: string }>('select name, hash from migration');
		const applied: string[] = [];
		for (const { name, up } of MIGRATIONS) {
			const known = rows.find((r) => r.name === name);
			if (known !== undefined && known.hash !== hashOf(up))
				throw new Error(
					`migration ${name} was applied with another text; write a new migration instead of changing it`
				);
			if (known !== undefined) continue;
			if (rows.length > 0 && applied.length === 0) await beforeChange?.();
			await client.query('begin');
			await client.query(up);
			await client.query('insert into migration (name, hash) values ($1, $2)', [name, hashOf(up)]);
			await client.query('commit');
			applied.push(name);
		}
		return applied;
	} finally {
		await client.end();
	}
}

/** Makes the three roles and the database; safe to repeat. Identifiers are fixed, passwords are hex. */
export async function bootstrap(
	superUrl: string,
	database: string,
	passwords: { readonly owner: string; readonly app: string; readonly signin: string }
): Promise<void> {
	const client = new pg.Client({ connectionString: superUrl });
	await client.connect();
	try {
		for (const role of ['owner', 'app', 'signin'] as const) {
			const password = passwords[role];
			if (!/^[0-9a-f]+$/.test(password) || !/^[a-z_0-9]+$/.test(database))
				throw new Error('role passwords are hex, database names are plain');
			const { rowCount } = await client.query('select 1 from pg_roles where rolname = $1', [
				`bolster_${role}`
			]);
			const verb = rowCount === 0 ? 'create' : 'alter';
			await client.query(
				`${verb} role bolster_${role} login nosuperuser nocreatedb nocreaterole nobypassrls password '${password}'`
			);
		}
		const { rowCount } = await client.query('select 1 from pg_database where datname = $1', [database]);
		if (rowCount === 0) await client.query(`create database ${database} owner bolster_owner`);
	} finally {
		await client.end();
	}
}
