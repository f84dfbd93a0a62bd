/** Does the database answer, and can work be kept: migrated to here, writable, room on the disk? */
import { statfs } from 'node:fs/promises';
import { database } from '../db/connect.ts';
import { LAST_MIGRATION } from '../db/migrate.ts';

export async function isReady(): Promise<boolean> {
	try {
		await database().pool.query('select 1');
		return true;
	} catch {
		return false;
	}
}

/** Under so much free space nothing is promised to be kept. @source practice-setting */
const LEAST_FREE_MB = 64;

/** What keeps work from being kept, in words; empty where nothing does. */
export async function troubles(): Promise<readonly string[]> {
	try {
		const { rows } = await database().pool.query<{ migrated: boolean; writable: boolean }>(
			`select exists (select 1 from migration where name = $1) as migrated,
				not pg_is_in_recovery() and current_setting('transaction_read_only') = 'off' as writable`,
			[LAST_MIGRATION]
		);
		return [
			...(rows[0]?.migrated === true ? [] : ['the database is older than the program: it is not migrated']),
			...(rows[0]?.writable === true ? [] : ['the database takes no writes']),
			...((await hasRoom()) ? [] : ['the disk is nearly full'])
		];
	} catch {
		return ['the database does not answer'];
	}
}

/** Is there room where the data lives for what is sent now? Who has another disk in mind says how much is enough (`LEAST_FREE_MB`). */
export async function hasRoom(): Promise<boolean> {
	const home = process.env.BOLSTER_HOME;
	if (home === undefined) return true;
	const least = Number(process.env.LEAST_FREE_MB ?? LEAST_FREE_MB) * 1024 * 1024;
	const { bavail, bsize } = await statfs(home);
	return bavail * bsize >= least;
}
