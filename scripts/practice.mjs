/** Where a practice lives: its folder, its private cluster or a server of its own, and what its programs are told. */
import { spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { chmodSync, existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { ensurePostgres, startCluster } from './cluster.mjs';
import { root } from './ensure.mjs';

export const home = process.env.BOLSTER_HOME ?? join(root, '.practice');
export const stateFile = join(home, 'practice.json');
/** Who was erased, by id: kept outside the database, so that a restored backup erases them again. */
export const erasures = join(home, 'erasures.jsonl');
export const backups = process.env.BOLSTER_BACKUPS ?? join(home, 'backups');

export const stateOf = () => (existsSync(stateFile) ? JSON.parse(readFileSync(stateFile, 'utf8')) : {});
export function keepState(state) {
	writeFileSync(stateFile, JSON.stringify(state, null, 1), { mode: 0o600 });
	chmodSync(stateFile, 0o600);
}

/** A server of one's own is used where both addresses are given, backed up from here where BACKUP_URL is too; else a private cluster in the practice's folder. */
export async function databaseOf() {
	mkdirSync(home, { recursive: true, mode: 0o711 });
	const { DATABASE_URL, MIGRATE_URL } = process.env;
	if ((DATABASE_URL === undefined) !== (MIGRATE_URL === undefined)) {
		console.error(
			'A server of your own takes both: DATABASE_URL (the plain application role) and MIGRATE_URL (the owner role).'
		);
		process.exit(1);
	}
	if (DATABASE_URL !== undefined)
		return {
			own: true,
			backedUp: process.env.BACKUP_URL !== undefined,
			env: {
				AUTH_SECRET: process.env.AUTH_SECRET ?? secretKept(),
				...(process.env.BACKUP_URL === undefined ? {} : { PG_BIN: process.env.PG_BIN ?? ensurePostgres() })
			},
			stop: () => undefined
		};
	const cluster = await startCluster(home);
	return {
		own: false,
		backedUp: true,
		env: {
			DATABASE_URL: cluster.appUrl('bolster'),
			AUTH_DATABASE_URL: cluster.signInUrl('bolster'),
			MIGRATE_URL: cluster.ownerUrl('bolster'),
			SUPER_URL: cluster.superUrl,
			BACKUP_URL: cluster.superUrl,
			OWNER_PASSWORD: cluster.passwords.owner,
			APP_PASSWORD: cluster.passwords.app,
			SIGNIN_PASSWORD: cluster.passwords.signin,
			AUTH_SECRET: process.env.AUTH_SECRET ?? cluster.authSecret,
			PG_BIN: cluster.bin
		},
		stop: cluster.stop
	};
}

/** The sign-in secret of a practice with a server of its own: made once, read by nobody else. */
function secretKept() {
	const state = stateOf();
	if (state.secret === undefined) {
		state.secret = randomBytes(32).toString('hex');
		keepState(state);
	}
	return state.secret;
}

/** Runs one of the practice's tasks; its answer, or undefined where it said why not. */
export function task(name, env) {
	const { status, stdout } = spawnSync(
		process.execPath,
		['--import', 'tsx', join(root, 'src/lib/server/keep/run.ts'), name],
		{
			cwd: root,
			env: {
				...process.env,
				...env,
				BOLSTER_HOME: home,
				BOLSTER_BACKUPS: backups,
				BOLSTER_ERASURES: erasures
			},
			stdio: ['ignore', 'pipe', 'inherit'],
			encoding: 'utf8'
		}
	);
	return status === 0 ? JSON.parse(stdout.trim().split('\n').at(-1) ?? '{}') : undefined;
}

/** Is the practice serving just now? Then its database is up and stays up. */
export const isServing = () => {
	const { pid } = stateOf();
	const file = `/proc/${pid}/cmdline`;
	return (
		pid !== undefined && existsSync(file) && readFileSync(file, 'utf8').includes(join(root, 'build/index.js'))
	);
};
