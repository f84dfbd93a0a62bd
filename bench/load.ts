/**
 * A practice of two thousand clients under load, printed: Today's first reading of the day and the next, client pages and logging over eight connections,
 * and how long `/healthz` takes meanwhile. The clients are copies of the demo's, each with its own ids. Never a test: machines are noisy.
 */
import { spawn } from 'node:child_process';
import { readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { PRACTICE_TABLES, bootstrap, migrate } from '#lib/server/db/migrate.ts';
import { separateSignIn } from '#lib/server/db/sign-in-role.ts';
import { loadDemo } from '../demo/load.ts';
import { aSession } from './a-session.ts';
import { CLIENTS as DEMO } from '../demo/people.ts';
import { freePort, startCluster } from '../scripts/cluster.mjs';
import { processesHere, serverCommand } from '../scripts/serve.mjs';
import { STAFF } from '../scripts/sign-ins.mjs';

const CLIENTS = Number(process.argv[2] ?? 2000);
const CONNECTIONS = 8;
const CHECK_INS = 200;
const TODAY = '2026-03-12';
/** The practice's own, not a client's. */
const SHARED = ['member', 'equipment', 'own_family', 'receipt', 'access_log', 'standing'];

const home = join(tmpdir(), `bolster-load-${process.pid}`);
const cluster = await startCluster(home, { fast: false });
const line = (what: string, value: string, target = ''): void =>
	console.log(`${what.padEnd(58)} ${value.padStart(14)}${target === '' ? '' : `   ${target}`}`);
const median = (xs: number[]): number => xs.sort((a, b) => a - b)[Math.floor(xs.length / 2)] ?? NaN;
const quantile = (xs: number[], q: number): number =>
	xs.sort((a, b) => a - b)[Math.min(xs.length - 1, Math.floor(xs.length * q))] ?? NaN;

/** Copies every client's rows `times` times with other ids, foreign keys and all. */
async function multiply(url: string, times: number): Promise<void> {
	const c = new pg.Client({ connectionString: url });
	await c.connect();
	await c.query(
		`create function other(id uuid, n int) returns uuid language sql immutable as $$ select overlay(overlay(md5(id::text || n::text) placing '7' from 13 for 1) placing '8' from 17 for 1)::uuid $$`
	);
	await c.query('set session_replication_role = replica');
	for (const table of PRACTICE_TABLES.filter((t) => !SHARED.includes(t))) {
		const { rows } = await c.query<{ column_name: string; data_type: string }>(
			`select column_name, data_type from information_schema.columns where table_schema = 'public' and table_name = $1 order by ordinal_position`,
			[table]
		);
		const kept = ['practice_id', 'written_by', 'member_id'];
		const value = (r: { column_name: string; data_type: string }): string =>
			r.data_type === 'uuid' && !kept.includes(r.column_name)
				? `case when t."${r.column_name}" is null then null else other(t."${r.column_name}", n) end`
				: table === 'person' && r.column_name === 'name'
					? `t.name || ' ' || n`
					: `t."${r.column_name}"`;
		await c.query(
			`insert into ${table} (${rows.map((r) => `"${r.column_name}"`).join(', ')}) select ${rows.map(value).join(', ')} from ${table} t, generate_series(1, $1) n`,
			[times]
		);
	}
	await c.query('set session_replication_role = origin');
	await c.query('analyze');
	await c.end();
}

/** Half a year behind them: each session again five weeks earlier, and so on. Whoever was with a practice that long has some two hundred. */
async function lengthen(url: string, clients: readonly string[], times: number): Promise<number> {
	const c = new pg.Client({ connectionString: url });
	await c.connect();
	await c.query('set session_replication_role = replica');
	for (const table of ['visit', 'exercise_log']) {
		const { rows } = await c.query<{ name: string }>(
			`select column_name as name from information_schema.columns where table_schema = 'public' and table_name = $1 order by ordinal_position`,
			[table]
		);
		const value = ({ name }: { name: string }): string =>
			name === 'id' || name === 'visit_id'
				? `other(t.${name}, 1000 + n)`
				: name === 'local_day'
					? `t.local_day - 35 * n`
					: name === 'started_at'
						? `t.started_at - interval '35 days' * n`
						: name === 'change'
							? `nextval('record_change')`
							: `t.${name}`;
		await c.query(
			`insert into ${table} (${rows.map((r) => r.name).join(', ')}) select ${rows.map(value).join(', ')} from ${table} t, generate_series(1, $1) n where t.client_id = any($2)`,
			[times, clients]
		);
	}
	await c.query('set session_replication_role = origin');
	await c.query('analyze');
	const { rows } = await c.query<{ many: number }>(
		'select count(*)::int / $2::int as many from exercise_log where client_id = any($1)',
		[clients, clients.length]
	);
	await c.end();
	return rows[0]?.many ?? 0;
}

/** Milliseconds of a processor that a process and those it started have used; the system counts in hundredths of a second. */
function cpuMsOf(pid: number | undefined): number {
	const ofIt = (file: string): string => {
		try {
			return readFileSync(`/proc/${pid}/${file}`, 'utf8');
		} catch {
			return '';
		}
	};
	// After the name, which may hold anything: user and system time are the twelfth and thirteenth (proc(5)).
	const [user = 0, system = 0] = (/\) (.*)/.exec(ofIt('stat'))?.[1] ?? '')
		.split(' ')
		.slice(11, 13)
		.map(Number);
	const children = ofIt(`task/${pid}/children`).split(' ').filter(Boolean).map(Number);
	return 10 * (user + system) + children.reduce((sum, child) => sum + cpuMsOf(child), 0);
}

const name = 'load';
await bootstrap(cluster.superUrl, name, cluster.passwords);
await migrate(cluster.ownerUrl(name));
await separateSignIn(cluster.ownerUrl(name), true);
const port = await freePort();
const origin = `http://127.0.0.1:${port}`;
await loadDemo({
	ownerUrl: cluster.ownerUrl(name),
	appUrl: cluster.appUrl(name),
	signInUrl: cluster.signInUrl(name),
	secret: cluster.authSecret,
	origin,
	today: TODAY
});
const began = performance.now();
const asSuper = cluster.superUrl.replace(/\/[^/?]*(\?|$)/, `/${name}$1`);
await multiply(asSuper, Math.ceil(CLIENTS / DEMO.length) - 1);
const owner = new pg.Client({ connectionString: cluster.ownerUrl(name) });
await owner.connect();
const clients = (
	await owner.query<{ id: string }>(
		'select client_id as id from exercise group by client_id order by md5(client_id::text) limit 400'
	)
).rows.map((r) => r.id);
await owner.end();
/** As practitioners do: from page to page of forty clients; forty others have half a year behind them. */
const [worked, long] = [clients.slice(0, 40), clients.slice(40, 80)];
const sessions = await lengthen(asSuper, long, 6);
line('copying clients', `${((performance.now() - began) / 1000).toFixed(1)} s`);

/** PROFILE names a folder for the server's own profile. */
const profiled =
	process.env.PROFILE === undefined ? [] : ['--cpu-prof', `--cpu-prof-dir=${process.env.PROFILE}`];
const many = processesHere();
line('processes', String(many));
const server = spawn(process.execPath, [...profiled, ...serverCommand(many)], {
	env: {
		...process.env,
		NODE_ENV: 'production',
		HOST: '127.0.0.1',
		PORT: String(port),
		ORIGIN: origin,
		DATABASE_URL: cluster.appUrl(name),
		AUTH_DATABASE_URL: cluster.signInUrl(name),
		AUTH_SECRET: cluster.authSecret,
		BOLSTER_TODAY: TODAY,
		BOLSTER_PROCESSES: String(many),
		LOG_LEVEL: 'warn'
	},
	stdio: ['ignore', 'inherit', 'inherit']
});
for (let i = 0; i < 100; i++) {
	try {
		if ((await fetch(`${origin}/readyz`)).ok) break;
	} catch {
		// Not listening yet.
	}
	await new Promise((r) => setTimeout(r, 100));
}
try {
	const staff = STAFF[0] as (typeof STAFF)[number];
	const signed = await fetch(`${origin}/sign-in`, {
		method: 'POST',
		redirect: 'manual',
		headers: { origin },
		body: new URLSearchParams({ email: staff.email, password: staff.password })
	});
	const cookie = signed.headers
		.getSetCookie()
		.map((c) => c.split(';')[0])
		.join('; ');
	if (cookie === '') throw new Error(`nobody was signed in: ${signed.status}`);
	const get = async (path: string): Promise<{ ms: number; text: string; status: number }> => {
		const at = performance.now();
		// Sent elsewhere is not answered: a door is opened quicker than a page.
		const r = await fetch(`${origin}${path}`, { headers: { cookie }, redirect: 'manual' });
		const text = await r.text();
		return { ms: performance.now() - at, text, status: r.status };
	};
	const health: number[] = [];
	const pulse = setInterval(() => {
		const at = performance.now();
		void fetch(`${origin}/healthz`)
			.then((r) => r.text())
			.then(() => health.push(performance.now() - at));
	}, 50);

	const first = await get('/');
	line('Today, first reading of the day', `${first.ms.toFixed(0)} ms`);
	const judging = performance.now();
	while (
		(await get('/__data.json')).text.includes('"judging":0') === false &&
		performance.now() - judging < 180_000
	) {
		if (!/data-testid="judging"/.test((await get('/')).text)) break;
		await new Promise((r) => setTimeout(r, 500));
	}
	line(
		`  all ${CLIENTS} judged aside after`,
		`${((performance.now() - judging) / 1000).toFixed(1)} s`,
		`${(CLIENTS / ((performance.now() - judging) / 1000)).toFixed(0)} clients/s`
	);
	line(
		'  /healthz meanwhile, median and p99',
		`${median(health).toFixed(1)}, ${quantile(health, 0.99).toFixed(1)} ms`
	);
	const pages: number[] = [];
	for (let i = 0; i < 30; i++) pages.push((await get('/')).ms);
	line(
		'Today, every further reading (median, p95)',
		`${median(pages).toFixed(0)}, ${quantile(pages, 0.95).toFixed(0)} ms`,
		'≤ 100 ms'
	);

	interface Together {
		readonly rate: number;
		readonly times: number[];
		readonly wrong: number;
		/** What each answer took of the server's processors: it says less of who else is on the machine. */
		readonly cpuMs: number;
	}
	/** Runs work over eight connections for some seconds; answers how many a second, and how long each took. */
	async function together(
		seconds: number,
		work: (i: number) => Promise<{ ms: number; status: number }>
	): Promise<Together> {
		const until = performance.now() + 1000 * seconds;
		const before = cpuMsOf(server.pid);
		const times: number[] = [];
		let at = 0;
		let wrong = 0;
		await Promise.all(
			Array.from({ length: CONNECTIONS }, async () => {
				while (performance.now() < until) {
					const { ms, status } = await work(at++);
					times.push(ms);
					if (status !== 200) wrong++;
				}
			})
		);
		const cpuMs = (cpuMsOf(server.pid) - before) / times.length;
		return { rate: times.length / seconds, times, wrong, cpuMs };
	}
	const said = (what: string, { rate, times, wrong, cpuMs }: Together, target: string): void =>
		line(
			what,
			`${rate.toFixed(0)} /s`,
			`p99 ${quantile(times, 0.99).toFixed(0)} ms${wrong === 0 ? '' : `, ${wrong} not answered`} (${target}), ${cpuMs.toFixed(1)} ms of a processor`
		);
	/** ONLY names what to measure, and that alone: for a profile of one. */
	const ONLY = (process.env.ONLY ?? 'decide,ladders,log,measure,logging,mornings').split(',');
	const PAGES = ONLY.filter((p) => p !== 'logging' && p !== 'mornings');
	for (const page of PAGES)
		said(
			`client pages: ${page}, each client for the first time`,
			await together(5, (i) => get(`/clients/${clients[i % clients.length]}/${page}`)),
			'8 connections'
		);
	for (const page of PAGES)
		said(
			`client pages: ${page}, clients that are worked with`,
			await together(5, (i) => get(`/clients/${worked[i % worked.length]}/${page}`)),
			'≥ 80 /s, p99 ≤ 250 ms'
		);

	/** What is made of each, eight at a time, in their order. */
	async function eachOf<A, B>(all: readonly A[], work: (one: A) => Promise<B>): Promise<B[]> {
		const out: B[] = [];
		for (let i = 0; i < all.length; i += CONNECTIONS)
			out.push(...(await Promise.all(all.slice(i, i + CONNECTIONS).map(work))));
		return out;
	}

	/** Logging over eight connections, each sending a session of its own. */
	async function loggingTogether(): Promise<void> {
		const forms = await eachOf(clients.slice(0, 300), async (id) => {
			const { text } = await get(`/clients/${id}/log`);
			const field = (of: string): string => new RegExp(`name="${of}" value="([^"]*)"`).exec(text)?.[1] ?? '';
			return {
				id,
				fields: {
					id: field('id'),
					visitId: field('visitId'),
					exerciseId: field('exerciseId'),
					prescriptionId: field('prescriptionId'),
					region: field('region')
				}
			};
		});
		const usable = forms.filter((f) => f.fields.id !== '' && f.fields.prescriptionId !== '');
		let sent = 0;
		const [ofWorked, ofLong] = [worked, long].map((ids) => usable.filter((f) => ids.includes(f.id)));
		const logOne = async (among: typeof usable, i: number): Promise<{ ms: number; status: number }> => {
			const f = among[i % among.length] as (typeof usable)[number];
			// Each sending is a session of its own.
			const one = (sent++).toString(16).padStart(6, '0');
			const fresh = (id: string): string => id.slice(0, -6) + one;
			const at = performance.now();
			const body = new URLSearchParams({
				...f.fields,
				id: fresh(f.fields.id),
				visitId: fresh(f.fields.visitId),
				...aSession(TODAY)
			});
			const r = await fetch(`${origin}/clients/${f.id}/log?/log`, {
				method: 'POST',
				headers: { cookie, origin, accept: 'application/json', 'x-sveltekit-action': 'true' },
				body
			});
			const answer = (await r.json()) as { type: string };
			return { ms: performance.now() - at, status: answer.type === 'success' ? 200 : 422 };
		};
		said(
			'logging a session, each client for the first time',
			await together(3, (i) => logOne(usable, i)),
			'8 connections'
		);
		said(
			'logging a session, clients that are worked with',
			await together(5, (i) => logOne(ofWorked ?? [], i)),
			'≥ 150 /s'
		);
		// Read whole once in each process, as on the day somebody comes.
		await together(3, (i) => logOne(ofLong ?? [], i));
		said(
			`logging a session, clients with ${sessions} behind them`,
			await together(5, (i) => logOne(ofLong ?? [], i)),
			'as the others'
		);
		line('Today right after, first reading', `${(await get('/')).ms.toFixed(0)} ms`);
	}

	/** Mornings as they come in after breakfast: two hundred in a minute, and Today read meanwhile. */
	async function morningsMeanwhile(): Promise<void> {
		const mornings = await eachOf(clients.slice(0, CHECK_INS), async (id) => {
			const { text } = await get(`/clients/${id}/morning`);
			const names = [...text.matchAll(/name="([a-z-]+)\.id" value="([^"]*)"/g)];
			const field = (of: string): string => new RegExp(`name="${of}" value="([^"]*)"`).exec(text)?.[1] ?? '';
			return {
				id,
				fields: {
					...{ id: field('id'), eventId: field('eventId'), day: TODAY },
					...Object.fromEntries(
						names.flatMap(([, region, own]) => [
							[`${region}.id`, own],
							[`${region}.pain`, '2'],
							[`${region}.swelling`, 'none']
						])
					)
				}
			};
		});
		const today: number[] = [];
		let taken = 0;
		const began60 = performance.now();
		const reading = setInterval(() => void get('/').then((r) => today.push(r.ms)), 1000);
		await Promise.all(
			mornings.map(async ({ id, fields }, i) => {
				await new Promise((r) => setTimeout(r, (i * 60_000) / CHECK_INS));
				const r = await fetch(`${origin}/clients/${id}/morning`, {
					method: 'POST',
					headers: { cookie, origin, accept: 'application/json', 'x-sveltekit-action': 'true' },
					body: new URLSearchParams(fields as Record<string, string>)
				});
				if (((await r.json()) as { type: string }).type === 'success') taken++;
			})
		);
		clearInterval(reading);
		line(
			`${CHECK_INS} mornings in ${((performance.now() - began60) / 1000).toFixed(0)} s, ${taken} taken; Today meanwhile`,
			`${median(today).toFixed(0)} ms`,
			`p95 ${quantile(today, 0.95).toFixed(0)} ms (≤ 100 ms)`
		);
	}

	if (ONLY.includes('logging')) await loggingTogether();
	if (ONLY.includes('mornings')) await morningsMeanwhile();
	clearInterval(pulse);
} finally {
	server.kill('SIGTERM');
	await new Promise((r) => server.on('exit', r));
	cluster.stop();
	cluster.remove();
	rmSync(home, { recursive: true, force: true });
}
