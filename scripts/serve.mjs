/** What the start scripts share: a free port, a server that is ended when its parent is, and waiting until it is ready. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { availableParallelism } from 'node:os';
import { join } from 'node:path';
import { root } from './ensure.mjs';

export const option = (name) => {
	const i = process.argv.indexOf(`--${name}`);
	return i < 0 ? undefined : process.argv[i + 1];
};

/** A start that was killed outright leaves its server behind; it is ours to end. */
export function endOrphan(pid) {
	const file = `/proc/${pid}/cmdline`;
	if (
		pid === undefined ||
		!existsSync(file) ||
		!readFileSync(file, 'utf8').includes(join(root, 'build/index.js'))
	)
		return;
	try {
		process.kill(pid, 'SIGTERM');
		spawnSync('sleep', ['1']);
	} catch {
		// Gone already.
	}
}

export function isFree(port, host = '127.0.0.1') {
	return new Promise((done) => {
		const s = createServer();
		s.once('error', () => done(false));
		s.listen(port, host, () => s.close(() => done(true)));
	});
}

/** More processes than this answer no sooner: the database has its part of the machine too. */
const MOST_PROCESSES = 4;

/** A process for each processor there is, or as many as BOLSTER_PROCESSES says. */
export function processesHere(said = process.env.BOLSTER_PROCESSES, processors = availableParallelism()) {
	const n = Number(said);
	return Number.isInteger(n) && n >= 1 ? n : Math.min(MOST_PROCESSES, processors);
}

/** What node is given to serve in so many processes; one needs nobody above it. */
export function serverCommand(many) {
	const built = join(root, 'build/index.js');
	return many === 1 ? [built] : [join(root, 'scripts/server.mjs'), built];
}

/** The server gets what it needs and no more: neither owner nor superuser password. */
export function serve(env, many = 1) {
	const own = { ...env, BOLSTER_PROCESSES: String(many) };
	const others = [
		'MIGRATE_URL',
		'SUPER_URL',
		'BACKUP_URL',
		'OWNER_PASSWORD',
		'APP_PASSWORD',
		'SIGNIN_PASSWORD'
	];
	for (const secret of others) delete own[secret];
	return spawn(process.execPath, serverCommand(many), {
		cwd: root,
		env: { ...own, LOG_LEVEL: process.env.LOG_LEVEL ?? 'warn' },
		stdio: ['ignore', 'inherit', 'inherit']
	});
}

export async function ready(url, server) {
	for (let i = 0; i < 150; i++) {
		try {
			if ((await fetch(url)).ok) return true;
		} catch {
			// Not listening yet.
		}
		await new Promise((r) => setTimeout(r, 100));
	}
	console.error('The server did not become ready.');
	server.kill('SIGTERM');
	return false;
}
