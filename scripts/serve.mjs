/** What the start scripts share: a free port, a server that is ended when its parent is, and waiting until it is ready. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { createServer } from 'node:net';
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

/** The server gets what it needs and no more: neither owner nor superuser password. */
export function serve(env) {
	const own = { ...env };
	const others = [
		'MIGRATE_URL',
		'SUPER_URL',
		'BACKUP_URL',
		'OWNER_PASSWORD',
		'APP_PASSWORD',
		'SIGNIN_PASSWORD'
	];
	for (const secret of others) delete own[secret];
	return spawn(process.execPath, [join(root, 'build/index.js')], {
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
