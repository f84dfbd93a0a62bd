/** A database of one's own, cloned from a template, and contexts of the demo's people in it. */
import pg from 'pg';
import { afterEach, beforeEach, expect, inject } from 'vitest';
import { open, type Database } from '#lib/server/db/connect.ts';
import { inPracticeOf } from '#lib/server/db/in-practice.ts';
import type { Context, Outcome } from '#lib/server/usecase/actor.ts';
import { loadRecords, type ClientRecord } from '#lib/server/record/load.ts';

export interface TestDatabase extends Database {
	readonly ownerUrl: string;
	/** Of the application's plain role. */
	readonly appUrl: string;
	/** Of the role that signs people in. */
	readonly signInUrl: string;
	readonly owner: pg.Pool;
	readonly close: () => Promise<void>;
}

let made = 0;

export async function cloneOf(template: 'template_empty' | 'template_demo'): Promise<TestDatabase> {
	const name = `t_${process.pid}_${Date.now().toString(36)}_${made++}`;
	const admin = new pg.Client({ connectionString: inject('superUrl') });
	await admin.connect();
	// A template with a session on it cannot be cloned; another test file may be cloning just now.
	for (let attempt = 0; ; attempt++) {
		try {
			await admin.query(`create database ${name} template ${template} owner bolster_owner`);
			break;
		} catch (e) {
			if (attempt > 40) throw e;
			await new Promise((r) => setTimeout(r, 100));
		}
	}
	await admin.end();
	const url = (kind: 'owners' | 'apps' | 'signIns'): string => inject(kind).replace('DATABASE', name);
	const database = open(url('apps'), 6);
	const owner = new pg.Pool({ connectionString: url('owners'), max: 2 });
	return {
		...database,
		ownerUrl: url('owners'),
		appUrl: url('apps'),
		signInUrl: url('signIns'),
		owner,
		close: async () => void (await Promise.all([database.pool.end(), owner.end()]))
	};
}

/** A member of the demo acting on a day. */
export async function as(
	d: TestDatabase,
	role: 'physiotherapist' | 'trainer' | 'owner',
	today = '2026-03-12'
): Promise<Context> {
	const { rows } = await d.owner.query<{ practice_id: string; id: string; name: string }>(
		'select practice_id, id, name from member where $1 = any(roles) limit 1',
		[role]
	);
	const m = rows[0];
	if (m === undefined) throw new Error(`no ${role}`);
	return {
		actor: {
			memberId: m.id,
			practiceId: m.practice_id,
			name: m.name,
			practice: 'demo',
			licensed: role === 'physiotherapist',
			trainer: role === 'trainer',
			owner: role === 'owner'
		},
		inPractice: inPracticeOf(d.db, m.practice_id, m.id),
		today,
		now: new Date(`${today}T10:00:00Z`),
		tz: 'Europe/London',
		units: 'metric'
	};
}

/** The value of what was allowed; what was refused fails the test with its words. */
export function value<T>(outcome: Outcome<T>): T {
	if (!outcome.ok) throw new Error(`${outcome.refusal.field ?? ''}: ${outcome.refusal.message}`);
	return outcome.value;
}

/** The record of a client as it stands now. */
export async function reloaded(ctx: Context, id: string): Promise<ClientRecord> {
	const [found] = await ctx.inPractice((t) => loadRecords(t, id));
	if (found === undefined) throw new Error(`no client ${id}`);
	return found;
}

/** A client of the demo by first name. */
export async function client(ctx: Context, name: string): Promise<ClientRecord> {
	const id = await ctx.inPractice(async (t) => {
		const named = t.trx.selectFrom('person').select('client_id').where('name', 'like', `${name}%`);
		return (await named.executeTakeFirst())?.client_id;
	});
	if (id === undefined) throw new Error(`no ${name}`);
	return reloaded(ctx, id);
}

/** The demo anew before each test, for those that change a lot; its connections are given back after, or two files want more than the server has. */
export function demoForEach(
	use: (made: { readonly d: TestDatabase; readonly physio: Context; readonly trainer: Context }) => void
): void {
	let d: TestDatabase;
	beforeEach(async () => {
		d = await cloneOf('template_demo');
		use({ d, physio: await as(d, 'physiotherapist'), trainer: await as(d, 'trainer') });
	});
	afterEach(() => d.close());
}

/** The same context, which counts what it asks the database, and how many rows it is answered. */
export function counted(ctx: Context): {
	readonly ctx: Context;
	readonly questions: () => number;
	readonly rows: () => number;
} {
	let asked = 0;
	let rows = 0;
	const inPractice: Context['inPractice'] = (work) =>
		ctx.inPractice((t) =>
			work({
				...t,
				trx: t.trx.withPlugin({
					transformQuery: (a) => a.node,
					transformResult: async ({ result }) => {
						asked++;
						rows += result.rows.length;
						return result;
					}
				}) as typeof t.trx
			})
		);
	return { ctx: { ...ctx, inPractice }, questions: () => asked, rows: () => rows };
}

/** Until so many wait for what somebody else has locked. */
export const waiting = (d: TestDatabase, many: number): Promise<void> =>
	expect
		.poll(
			async () =>
				(
					await d.owner.query(
						`select distinct pid from pg_locks where not granted and pid in (select pid from pg_stat_activity where datname = current_database())`
					)
				).rowCount,
			{ timeout: 20_000 }
		)
		.toBe(many);
