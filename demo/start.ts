/** Roles, migrations (after a dump), demo records; run by scripts/demo.mjs with the cluster up. Prints the demo's day. */
import { spawnSync } from 'node:child_process';
import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { bootstrap, migrate } from '#lib/server/db/migrate.ts';
import { separateSignIn } from '#lib/server/db/sign-in-role.ts';
import { rebuild } from '#lib/server/thread/rebuild.ts';
import { demoDay, loadDemo } from './load.ts';

const env = (name: string): string => {
	const v = process.env[name];
	if (v === undefined) throw new Error(`${name} is not set`);
	return v;
};

const ownerUrl = env('MIGRATE_URL');
await bootstrap(env('SUPER_URL'), 'bolster', {
	owner: env('OWNER_PASSWORD'),
	app: env('APP_PASSWORD'),
	signin: env('SIGNIN_PASSWORD')
});
const applied = await migrate(ownerUrl, () => {
	const folder = join(env('BOLSTER_HOME'), 'dumps');
	mkdirSync(folder, { recursive: true, mode: 0o700 });
	const file = join(folder, `before-${new Date().toISOString().replaceAll(':', '')}.dump`);
	const dumped = spawnSync(join(env('PG_BIN'), 'pg_dump'), ['-Fc', '-f', file, ownerUrl], {
		encoding: 'utf8'
	});
	if (dumped.status !== 0) throw new Error(`the dump before migrating failed: ${dumped.stderr}`);
	console.error(`Dumped to ${file}`);
});
if (applied.length > 0) console.error(`Migrated: ${applied.join(', ')}`);
await separateSignIn(ownerUrl, true);
const have = await demoDay(ownerUrl);
if (have === undefined) {
	console.error('Making the demo practice (twelve weeks of records)…');
	await loadDemo({
		ownerUrl,
		appUrl: env('DATABASE_URL'),
		signInUrl: env('AUTH_DATABASE_URL'),
		secret: env('AUTH_SECRET'),
		origin: env('ORIGIN'),
		today: env('DEMO_TODAY'),
		roster: process.env.DEMO_ROSTER === '1'
	});
	// Judged before anybody looks, so that the first page is full.
	await rebuild(ownerUrl, () => env('DEMO_TODAY'));
}
