/**
 * npm run demo: installs what is missing, starts PostgreSQL on loopback, makes roles, migrates, loads the demo, builds, serves.
 * Options: --today YYYY-MM-DD (day the demo stands still at; another day makes the demo anew), --port N, --fresh.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { freePort, startCluster } from './cluster.mjs';
import { ensureBuild, ensureModules, root } from './ensure.mjs';
import { endOrphan, isFree, option, ready, serve } from './serve.mjs';

const DEFAULT_DAY = '2026-03-12';
const home = process.env.BOLSTER_HOME ?? join(root, '.bolster');
const settingsFile = join(home, 'demo.json');

mkdirSync(home, { recursive: true, mode: 0o711 });
ensureModules();
const settings = existsSync(settingsFile) ? JSON.parse(readFileSync(settingsFile, 'utf8')) : {};
const today = option('today') ?? settings.today ?? DEFAULT_DAY;
if (!/^\d{4}-\d{2}-\d{2}$/.test(today) || Number.isNaN(Date.parse(today))) {
	console.error(`--today takes a calendar day such as ${DEFAULT_DAY}; "${today}" is not one.`);
	process.exit(1);
}
const anew = process.argv.includes('--fresh') || (settings.today !== undefined && settings.today !== today);
let cluster = await startCluster(home);
if (anew) {
	console.log('Making the demo anew…');
	cluster.stop();
	cluster.remove();
	mkdirSync(home, { recursive: true, mode: 0o711 });
	rmSync(settingsFile, { force: true });
	rmSync(join(home, 'day'), { force: true });
	cluster = await startCluster(home);
}
let server;
let stopping = false;
function stop(code) {
	if (stopping) return;
	stopping = true;
	cluster.stop();
	process.exit(code);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
	process.on(signal, () => (server === undefined ? stop(0) : server.kill('SIGTERM')));

endOrphan(settings.pid);
const wanted = Number(option('port') ?? process.env.PORT ?? settings.port ?? 4310);
const port = (await isFree(wanted)) ? wanted : await freePort();
const origin = `http://127.0.0.1:${port}`;
const env = {
	...process.env,
	NODE_ENV: 'production',
	HOST: '127.0.0.1',
	PORT: String(port),
	ORIGIN: origin,
	// An attachment is the largest thing that is sent.
	BODY_SIZE_LIMIT: '11M',
	DATABASE_URL: cluster.appUrl('bolster'),
	AUTH_DATABASE_URL: cluster.signInUrl('bolster'),
	MIGRATE_URL: cluster.ownerUrl('bolster'),
	SUPER_URL: cluster.superUrl,
	OWNER_PASSWORD: cluster.passwords.owner,
	APP_PASSWORD: cluster.passwords.app,
	SIGNIN_PASSWORD: cluster.passwords.signin,
	AUTH_SECRET: cluster.authSecret,
	BOLSTER_HOME: home,
	BOLSTER_MAIL: join(home, 'mail'),
	PG_BIN: cluster.bin,
	DEMO_TODAY: today,
	DEMO_ROSTER: '1',
	BOLSTER_TODAY: today,
	// Where the day stands once somebody moved it on.
	BOLSTER_DAY_FILE: join(home, 'day')
};
const prepared = spawnSync(process.execPath, ['--import', 'tsx', join(root, 'demo/start.ts')], {
	cwd: root,
	env,
	stdio: ['ignore', 'inherit', 'inherit']
});
if (prepared.status !== 0) stop(1);
try {
	ensureBuild();
} catch {
	stop(1);
}
server = serve(env);
writeFileSync(settingsFile, JSON.stringify({ today, port, pid: server.pid }));
server.on('exit', (code) => stop(code ?? 0));
await ready(`${origin}/readyz`, server);
const { STAFF } = await import('./sign-ins.mjs');
console.log(`\nBolster demo, standing at ${today}:  ${origin}\n`);
for (const s of STAFF) console.log(`  ${s.role.padEnd(16)} ${s.email.padEnd(28)} ${s.password}`);
console.log('\nCtrl-C stops it and its database.');
