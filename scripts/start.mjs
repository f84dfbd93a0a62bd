/**
 * npm start: a practice of one's own. Installs what is missing, starts its private PostgreSQL (or uses DATABASE_URL with MIGRATE_URL), migrates after a
 * backup, builds, serves, and backs up daily. Without a practice it prints the one-time address that founds one. Options: --port N, --origin URL.
 */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { freePort } from './cluster.mjs';
import { ensureBuild, ensureModules, root } from './ensure.mjs';
import { backups, databaseOf, erasures, home, keepState, stateOf, task } from './practice.mjs';
import { endOrphan, isFree, option, processesHere, ready, serve } from './serve.mjs';

const DEFAULT_PORT = 4300;
const HOUR_MS = 3_600_000;
const PUBLIC_SECRET = /^(.)\1*$|secret|password|changeme|default/i;

ensureModules();
const secret = process.env.AUTH_SECRET;
if (secret !== undefined && (secret.length < 32 || PUBLIC_SECRET.test(secret))) {
	console.error(
		'AUTH_SECRET is short or a word everybody knows; give 32 random letters or more, or leave it out: one is made and kept.'
	);
	process.exit(1);
}
const database = await databaseOf();
let server;
let stopping = false;
function stop(code) {
	if (stopping) return;
	stopping = true;
	database.stop();
	process.exit(code);
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'])
	process.on(signal, () => (server === undefined ? stop(0) : server.kill('SIGTERM')));

const state = stateOf();
endOrphan(state.pid);
const prepared = task('prepare', database.env);
if (prepared === undefined) stop(1);
if (prepared?.applied.length > 0) console.log(`Migrated: ${prepared.applied.join(', ')}`);
try {
	ensureBuild();
} catch {
	stop(1);
}
const wanted = Number(option('port') ?? process.env.PORT ?? state.port ?? DEFAULT_PORT);
const port = (await isFree(wanted)) ? wanted : await freePort();
const origin = option('origin') ?? process.env.ORIGIN ?? `http://127.0.0.1:${port}`;
const env = {
	...process.env,
	...database.env,
	NODE_ENV: 'production',
	HOST: process.env.HOST ?? '127.0.0.1',
	PORT: String(port),
	ORIGIN: origin,
	BODY_SIZE_LIMIT: '11M',
	BOLSTER_HOME: home,
	BOLSTER_ERASURES: erasures,
	BOLSTER_MAIL: process.env.BOLSTER_MAIL ?? join(home, 'mail'),
	...(database.backedUp ? { BOLSTER_BACKUPS: backups } : {})
};
// A day that stands still is the demo's.
for (const demo of ['BOLSTER_TODAY', 'BOLSTER_DAY_FILE', 'DEMO_TODAY']) delete env[demo];
server = serve(env, processesHere());
keepState({ ...stateOf(), port, pid: server.pid });
server.on('exit', (code) => stop(code ?? 0));
if (await ready(`http://127.0.0.1:${port}/readyz`, server)) {
	console.log(`\nBolster serves at ${origin}`);
	if (prepared?.token !== undefined)
		console.log(
			`\nThere is no practice yet. Found it here, once, within 15 minutes:\n\n  ${origin}/setup/${prepared.token}\n`
		);
	const where = database.own
		? `The data lives in your own database, what is kept beside it in ${home}.`
		: `The data lives in ${home}.`;
	console.log(`${where} Ctrl-C stops it.`);
}

/** Once a day, while it serves; npm run backup makes one at once. */
if (database.backedUp) {
	const daily = () =>
		spawn(process.execPath, [join(root, 'scripts/backup.mjs'), '--if-older', '24'], {
			cwd: root,
			env: { ...process.env, BOLSTER_HOME: home, BOLSTER_BACKUPS: backups },
			stdio: ['ignore', 'ignore', 'inherit']
		});
	setInterval(daily, HOUR_MS).unref();
}
