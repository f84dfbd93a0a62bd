/** Ready is: what is entered now is kept. A database that is older than the program, or takes no writes, is not. */
import { LAST_MIGRATION } from '../db/migrate.ts';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { cloneOf, type TestDatabase } from '../../../../tests/database.ts';
import { open } from '../db/connect.ts';
import { hasRoom, isReady, troubles } from './is-ready.ts';

let d: TestDatabase;
const held = globalThis as { bolsterDatabase?: unknown };
beforeEach(async () => {
	d = await cloneOf('template_empty');
	held.bolsterDatabase = d;
});
afterEach(async () => {
	delete held.bolsterDatabase;
	vi.unstubAllEnvs();
	await d.owner.end();
});

it('says what keeps work from being kept, and nothing where nothing does', async () => {
	expect([await isReady(), await troubles()]).toEqual([true, []]);
	vi.stubEnv('BOLSTER_HOME', '/tmp');
	expect(await troubles()).toEqual([]);
	// More than any disk has.
	vi.stubEnv('LEAST_FREE_MB', '1e12');
	expect([await hasRoom(), await troubles()]).toEqual([false, ['the disk is nearly full']]);
	vi.stubEnv('LEAST_FREE_MB', '0');
	expect(await hasRoom()).toBe(true);
	await d.owner.query(`delete from migration where name = '${LAST_MIGRATION}'`);
	expect(await troubles()).toEqual(['the database is older than the program: it is not migrated']);
	const { rows } = await d.owner.query<{ name: string }>('select current_database() as name');
	await d.owner.query(`alter database ${rows[0]!.name} set default_transaction_read_only = on`);
	await d.pool.end();
	const fresh = open(d.pool.options.connectionString ?? '', 1);
	held.bolsterDatabase = fresh;
	expect(await troubles()).toContain('the database takes no writes');
	await fresh.pool.end();
	expect([await isReady(), await troubles()]).toEqual([false, ['the database does not answer']]);
});
