/** A throwaway cluster with the whole demo, and the built server on it, for the browser flows. */
import { spawn } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startCluster } from '../../scripts/cluster.mjs';

const PORT = Number(process.env.FLOW_PORT ?? 4399);

async function ready(url: string): Promise<boolean> {
	for (let i = 0; i < 150; i++) {
		try {
			if ((await fetch(url)).ok) return true;
		} catch {
			// Not listening yet.
		}
		await new Promise((r) => setTimeout(r, 100));
	}
	return false;
}

export default async function setup(): Promise<() => Promise<void>> {
	const home = join(tmpdir(), `bolster-flows-${process.pid}`);
	rmSync(home, { recursive: true, force: true });
	const cluster = await startCluster(home, { fast: true });
	const root = join(import.meta.dirname, '../..');
	const origin = `http://127.0.0.1:${PORT}`;
	const env = {
		...process.env,
		SUPER_URL: cluster.superUrl,
		MIGRATE_URL: cluster.ownerUrl('bolster'),
		OWNER_PASSWORD: cluster.passwords.owner,
		APP_PASSWORD: cluster.passwords.app,
		SIGNIN_PASSWORD: cluster.passwords.signin,
		DATABASE_URL: cluster.appUrl('bolster'),
		AUTH_DATABASE_URL: cluster.signInUrl('bolster'),
		AUTH_SECRET: cluster.authSecret,
		BOLSTER_HOME: home,
		PG_BIN: cluster.bin,
		DEMO_TODAY: '2026-03-12',
		BOLSTER_TODAY: '2026-03-12',
		ORIGIN: origin,
		// An attachment is the largest thing that is sent.
		BODY_SIZE_LIMIT: '11M',
		HOST: '127.0.0.1',
		PORT: String(PORT),
		NODE_ENV: 'production',
		SIGN_IN_PER_MINUTE: '1000',
		LOG_LEVEL: 'warn'
	};
	const run = (args: string[]): Promise<number> =>
		new Promise((done) =>
			spawn(process.execPath, args, { cwd: root, env, stdio: ['ignore', 'ignore', 'inherit'] }).on(
				'exit',
				(code) => done(code ?? 1)
			)
		);
	if ((await run(['--import', 'tsx', 'demo/start.ts'])) !== 0) throw new Error('the demo did not load');
	const server = spawn(process.execPath, ['build/index.js'], {
		cwd: root,
		env,
		stdio: ['ignore', 'ignore', 'inherit']
	});
	if (!(await ready(`${origin}/readyz`))) throw new Error('the server did not become ready');
	// For the flow that restarts the database under the application.
	writeFileSync(join(tmpdir(), `bolster-flows-${PORT}.json`), JSON.stringify({ home }));
	return async () => {
		server.kill('SIGTERM');
		await new Promise((r) => server.on('exit', r));
		cluster.stop();
		cluster.remove();
	};
}
