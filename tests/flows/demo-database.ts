/** A throwaway cluster with the whole demo in it, for the browser flows: made by the demo's own start, or first read back from a dump of one that was. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { startCluster } from '../../scripts/cluster.mjs';
import { bootstrap } from '../../src/lib/server/db/migrate.ts';

const root = join(import.meta.dirname, '../..');
const DATABASE = 'bolster';

type Cluster = Awaited<ReturnType<typeof startCluster>>;
type Environment = Readonly<Record<string, string | undefined>>;

export interface DemoCluster {
	readonly cluster: Cluster;
	/** What the demo's start and its server are told. */
	readonly env: Environment;
}

/** `dump` is a file of {@link dumpDemo}; none, or one that is not there, and the demo is made anew. @throws where it cannot be made */
export async function demoCluster(home: string, origin: string, dump?: string): Promise<DemoCluster> {
	rmSync(home, { recursive: true, force: true });
	const cluster = await startCluster(home, { fast: true });
	const env = {
		...process.env,
		SUPER_URL: cluster.superUrl,
		MIGRATE_URL: cluster.ownerUrl(DATABASE),
		OWNER_PASSWORD: cluster.passwords.owner,
		APP_PASSWORD: cluster.passwords.app,
		SIGNIN_PASSWORD: cluster.passwords.signin,
		DATABASE_URL: cluster.appUrl(DATABASE),
		AUTH_DATABASE_URL: cluster.signInUrl(DATABASE),
		AUTH_SECRET: cluster.authSecret,
		BOLSTER_HOME: home,
		PG_BIN: cluster.bin,
		DEMO_TODAY: '2026-03-12',
		BOLSTER_TODAY: '2026-03-12',
		ORIGIN: origin,
		NODE_ENV: 'production'
	};
	if (dump !== undefined && existsSync(dump)) await readBack(cluster, dump);
	if ((await ran(['--import', 'tsx', 'demo/start.ts'], env)) !== 0) throw new Error('the demo did not load');
	return { cluster, env };
}

/** Writes what stands in the demo's database to a file, roles and passwords not among it. */
export function dumpDemo({ bin, superUrl }: Cluster, file: string): void {
	inDatabase(join(bin, 'pg_dump'), superUrl, ['-Fc', '-f', file]);
}

async function readBack({ bin, superUrl, passwords }: Cluster, dump: string): Promise<void> {
	await bootstrap(superUrl, DATABASE, passwords);
	inDatabase(join(bin, 'pg_restore'), superUrl, ['--exit-on-error', dump]);
}

function inDatabase(program: string, superUrl: string, args: readonly string[]): void {
	const at = new URL(superUrl);
	at.pathname = `/${DATABASE}`;
	const { status, stderr } = spawnSync(program, ['-d', at.href, ...args], { encoding: 'utf8' });
	if (status !== 0) throw new Error(stderr);
}

const ran = (args: string[], env: Environment): Promise<number> =>
	new Promise((done) =>
		spawn(process.execPath, args, { cwd: root, env, stdio: ['ignore', 'ignore', 'inherit'] }).on(
			'exit',
			(code) => done(code ?? 1)
		)
	);
