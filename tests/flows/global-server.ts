/** A throwaway cluster with the whole demo, and the built server on it, for the browser flows. */
import { spawn } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { demoCluster } from './demo-database.ts';

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
	const origin = `http://127.0.0.1:${PORT}`;
	const { cluster, env } = await demoCluster(home, origin, process.env.FLOW_DEMO);
	const server = spawn(process.execPath, ['build/index.js'], {
		cwd: join(import.meta.dirname, '../..'),
		env: {
			...env,
			// An attachment is the largest thing that is sent.
			BODY_SIZE_LIMIT: '11M',
			HOST: '127.0.0.1',
			PORT: String(PORT),
			SIGN_IN_PER_MINUTE: '1000',
			LOG_LEVEL: 'warn'
		},
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
