/** One throwaway cluster a test run, with a migrated template and a template that also holds a short demo. */
import { rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { TestProject } from 'vitest/node';
import { loadDemo } from '../demo/load.ts';
import { startCluster } from '../scripts/cluster.mjs';
import { bootstrap, migrate } from '../src/lib/server/db/migrate.ts';
import { separateSignIn } from '../src/lib/server/db/sign-in-role.ts';

declare module 'vitest' {
	interface ProvidedContext {
		superUrl: string;
		owner: string;
		app: string;
		port: number;
		owners: string;
		apps: string;
		signIns: string;
	}
}

export const DEMO_TODAY = '2026-03-12';

export default async function setup(project: TestProject): Promise<() => void> {
	const home = join(tmpdir(), `bolster-test-${process.pid}`);
	rmSync(home, { recursive: true, force: true });
	const cluster = await startCluster(home, { fast: true });
	await bootstrap(cluster.superUrl, 'template_empty', cluster.passwords);
	await migrate(cluster.ownerUrl('template_empty'));
	await separateSignIn(cluster.ownerUrl('template_empty'), true);
	await bootstrap(cluster.superUrl, 'template_demo', cluster.passwords);
	await migrate(cluster.ownerUrl('template_demo'));
	await separateSignIn(cluster.ownerUrl('template_demo'), true);
	await loadDemo({
		ownerUrl: cluster.ownerUrl('template_demo'),
		appUrl: cluster.appUrl('template_demo'),
		signInUrl: cluster.signInUrl('template_demo'),
		secret: 'test-secret-test-secret-test-secret-1',
		origin: 'http://127.0.0.1:1',
		today: DEMO_TODAY,
		weeks: 4
	});
	project.provide('superUrl', cluster.superUrl);
	project.provide('owners', cluster.ownerUrl('DATABASE'));
	project.provide('apps', cluster.appUrl('DATABASE'));
	project.provide('signIns', cluster.signInUrl('DATABASE'));
	project.provide('port', cluster.port);
	return () => {
		cluster.stop();
		cluster.remove();
	};
}
