/** Server time of the client page at demo size: the ladder's load, its queries counted, on a throwaway database. */
import pg from 'pg';
import { withDemo } from './demo-database.ts';
import { inPracticeOf } from '#lib/server/db/in-practice.ts';
import type { Context } from '#lib/server/usecase/actor.ts';
import { listClients } from '#lib/server/usecase/list-clients.ts';
import { judge } from '#lib/core/decision/judge.ts';
import { headView } from '#lib/server/view/head-view.ts';
import { advancesToday } from '#lib/server/record/facts-of.ts';
import { fitContextOf } from '#lib/server/record/fit-of.ts';
import { loadRecords } from '#lib/server/record/load.ts';
import { slipOf } from '#lib/server/record/slip-of.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { planView } from '#lib/server/view/plan-view.ts';
import { slipsByNeed } from '#lib/server/view/slips-by-need.ts';
import { toLog } from '#lib/server/view/to-log.ts';
import { climbs, painByRegion } from '#lib/server/view/trend-view.ts';
import { showClient } from '#lib/server/usecase/show-client.ts';

/** Median of twelve runs, in ms, against what is asked. */
async function timed(name: string, most: number, work: () => unknown): Promise<void> {
	const times: number[] = [];
	for (let i = 0; i < 12; i++) {
		const start = performance.now();
		await work();
		times.push(performance.now() - start);
	}
	const median = times.sort((a, b) => a - b)[6] ?? 0;
	console.log(
		`${median <= most ? 'ok  ' : 'MISS'} ${name.padEnd(42)} ${`${median.toFixed(1)} ms`.padStart(14)}   ≤ ${most} ms`
	);
}

/** Five thousand more clients of twenty visits each, and a part of a name looked for among them. */
async function searched(ctx: Context, ownerUrl: string): Promise<void> {
	const owner = new pg.Client({ connectionString: ownerUrl });
	await owner.connect();
	const { practiceId, memberId } = ctx.actor;
	await owner.query(`
		with made as (
			insert into client (practice_id, id, tz, opened_on)
			select '${practiceId}', gen_random_uuid(), 'Europe/London', '2025-01-01' from generate_series(1, 5000) returning id),
		numbered as (select id, row_number() over () as n from made),
		named as (
			insert into person (practice_id, id, client_id, name, born)
			select '${practiceId}', gen_random_uuid(), id, 'Made ' || md5(n::text), '1970-01-01' from numbered returning client_id)
		insert into visit (practice_id, id, client_id, local_day, tz, started_at, observed, written_by, content_hash)
		select '${practiceId}', gen_random_uuid(), client_id, date '2025-01-01' + k, 'Europe/London', now(), true, '${memberId}', ''
		from named, generate_series(1, 20) k`);
	await owner.query('analyze');
	await owner.end();
	for (const [name, search, order] of [
		['a part of a name', 'ab1', 'name'],
		['all, by the last visit', '', 'lately']
	] as const)
		await timed(`5,000 clients: ${name}`, 50, () =>
			listClients(ctx, { search, status: 'active', order, page: 1 })
		);
}

/** A client with twelve exercises and a year of sessions and mornings, made of the demo's Nerys; everything after the loading is pure. */
async function heavy({ inPractice, today }: Context): Promise<void> {
	const all = await inPractice((t) => loadRecords(t));
	const model = all.find((r) => r.head.name.startsWith('Nerys'));
	if (model === undefined) throw new Error('no Nerys');
	const exercises = Array.from({ length: EXERCISES }, (_, i) => {
		const e = model.exercises[i % model.exercises.length];
		if (e === undefined) throw new Error('nothing in use');
		return { ...e, id: `${e.id.slice(0, -2)}${String(i).padStart(2, '0')}` };
	});
	const logs = exercises.flatMap((e, i) => {
		const own = model.logs.filter((l) => l.exerciseId === model.exercises[i % model.exercises.length]?.id);
		return Array.from({ length: SESSIONS }, (_, k) => {
			const like = own[k % Math.max(1, own.length)];
			if (like === undefined) throw new Error('no session');
			const date = addDays(today, -Math.floor(((SESSIONS - 1 - k) * 364) / SESSIONS) - 1);
			return { ...like, id: `${like.id}-${k}`, exerciseId: e.id, session: { ...like.session, date } };
		});
	});
	const mornings = ['knee-left', 'back'].flatMap((region) =>
		Array.from({ length: 365 }, (_, k) => ({
			date: addDays(today, -k),
			region,
			pain: k % 3,
			swelling: 'none' as const
		}))
	);
	const made = () => ({ ...model, exercises, everGiven: exercises, logs, mornings });
	// Each time a record of its own: what is remembered with one is not found again.
	const asked = slipsByNeed(made(), today).map((slip) => slip.input);
	await timed('12 exercises, a year: judge for all', 10, () => asked.map(judge));
	await timed('12 exercises, a year: decide', 60, () => slipsByNeed(made(), today));
	await timed('12 exercises, a year: plan', 60, () => {
		const r = made();
		return planView(r, slipsByNeed(r, today), today, []);
	});
	await timed('12 exercises, a year: session', 60, () => toLog(made(), today, []));
	await timed('12 exercises, a year: trend', 60, () => [painByRegion(made()), climbs(made(), [])]);
}
const EXERCISES = 12;
const SESSIONS = 150;

await withDemo('bench', async ({ db, ownerUrl, physio }) => {
	let queries = 0;
	const counting = db.withPlugin({
		transformQuery: (a) => (queries++, a.node),
		transformResult: async (a) => a.result
	});
	const { practiceId, memberId } = physio.actor;
	const ctx: Context = { ...physio, inPractice: inPracticeOf(counting, practiceId, memberId) };
	const { today } = ctx;
	const ids = await ctx.inPractice(async (t) => (await loadRecords(t)).map((r) => r.head.id));
	const page = async (id: string): Promise<void> => {
		const got = await showClient(ctx, id, 'bench', (_, r) =>
			r.exercises.map((e) => slipOf(r, e, today, advancesToday(r, today)))
		);
		if (!got.ok) throw new Error('refused');
		headView(got.value.record, true, today);
		fitContextOf(got.value.record, today);
	};
	for (const id of ids) await page(id);
	queries = 0;
	await page(ids[0] ?? '');
	const each = queries;
	const times: number[] = [];
	for (let i = 0; i < 80; i++) {
		const start = performance.now();
		await page(ids[i % ids.length] ?? '');
		times.push(performance.now() - start);
	}
	times.sort((a, b) => a - b);
	const median = times[40] ?? 0;
	const p95 = times[76] ?? 0;
	console.log(
		`${median <= 50 ? 'ok  ' : 'MISS'} ${'client page, server time (median, p95)'.padEnd(42)} ${`${median.toFixed(1)} ms, ${p95.toFixed(1)}`.padStart(14)}   ≤ 50 ms`
	);
	console.log(
		`${each <= 8 ? 'ok  ' : 'MISS'} ${'client page, queries'.padEnd(42)} ${String(each).padStart(14)}   ≤ 8, none per row`
	);
	await heavy(ctx);
	await searched(ctx, ownerUrl);
});
