/**
 * The one pool, kept on globalThis so that a hot reload does not leak connections. Days stay text; numerics and big integers come
 * as numbers.
 */
import { Kysely, PostgresDialect } from 'kysely';
import pg from 'pg';
import { prepareRepeated } from './prepared.ts';
import type { Tables } from './tables.ts';

const DATE = 1082;
const INT8 = 20;
const NUMERIC = 1700;
pg.types.setTypeParser(DATE, (v) => v);
pg.types.setTypeParser(INT8, Number);
pg.types.setTypeParser(NUMERIC, Number);

export interface Database {
	readonly pool: pg.Pool;
	readonly db: Kysely<Tables>;
}

/** A connection that breaks, idle or in use, is dropped and says so to whoever waits on it; it never ends the process. */
export function survive(pool: pg.Pool): void {
	pool.on('error', () => undefined);
	pool.on('connect', (client) => client.on('error', () => undefined));
}

/** Opens a pool; the next request after a break opens another connection. */
export function open(url: string, max = 10): Database {
	const pool = new pg.Pool({
		connectionString: url,
		max,
		connectionTimeoutMillis: 5000,
		idleTimeoutMillis: 30_000
	});
	survive(pool);
	prepareRepeated(pool);
	return { pool, db: new Kysely<Tables>({ dialect: new PostgresDialect({ pool }) }) };
}

const held = globalThis as { bolsterDatabase?: Database };

export function database(): Database {
	if (held.bolsterDatabase === undefined) {
		const url = process.env.DATABASE_URL;
		if (url === undefined || url === '')
			throw new Error('DATABASE_URL is not set; start with `npm run demo`');
		held.bolsterDatabase = open(url);
	}
	return held.bolsterDatabase;
}

/** Start-up refuses a role for which row security would not be real. */
export async function refusePowerfulRole(pool: pg.Pool): Promise<void> {
	const { rows } = await pool.query<{ powerful: boolean; owns: boolean }>(
		`select (r.rolsuper or r.rolbypassrls) as powerful, exists (select 1 from pg_class c where c.relowner = r.oid and c.relkind = 'r') as owns from pg_roles r where r.rolname = current_user`
	);
	const role = rows[0];
	if (role === undefined || role.powerful || role.owns)
		throw new Error('the application role must not be superuser, BYPASSRLS or an owner of tables');
}
