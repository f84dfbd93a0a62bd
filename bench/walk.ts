/**
 * What a request enters: each is made once to warm up, then once more under the engine's own count of the functions that ran. A module counts
 * where one of its functions did; what only stands on the way of an import does not. Core and catalogue are counted apart: they are what is
 * asked, the others what carries.
 */
import { Session } from 'node:inspector/promises';
import { fileURLToPath } from 'node:url';
import { aSession } from './a-session.ts';
import { TODAY, withDemo } from './demo-database.ts';
import { inPracticeOf } from '#lib/server/db/in-practice.ts';
import type { Context } from '#lib/server/usecase/actor.ts';
import { newId } from '#lib/server/usecase/new-id.ts';

const root = fileURLToPath(new URL('..', import.meta.url));

/** Functions that ran since the count began, by module: its path and how many of its functions. */
async function entered(work: () => Promise<unknown>): Promise<ReadonlyMap<string, number>> {
	const session = new Session();
	session.connect();
	await session.post('Profiler.enable');
	await session.post('Profiler.startPreciseCoverage', { callCount: true, detailed: false });
	await work();
	const { result } = await session.post('Profiler.takePreciseCoverage');
	await session.post('Profiler.stopPreciseCoverage');
	session.disconnect();
	const out = new Map<string, number>();
	for (const { url, functions } of result) {
		if (!url.startsWith('file://')) continue;
		const path = fileURLToPath(url).slice(root.length);
		// The module's own body has no name and ran long ago.
		const ran = functions.filter((f) => f.functionName !== '' && (f.ranges[0]?.count ?? 0) > 0).length;
		if (path.startsWith('src/') && ran > 0) out.set(path, ran);
	}
	return out;
}

const isAsked = (path: string): boolean => /^src\/lib\/(core|catalogue)\//.test(path);
const floorOf = (path: string): string =>
	path.startsWith('src/routes')
		? 'routes'
		: path
				.split('/')
				.slice(2, path.includes('/server/') ? 4 : 3)
				.join('/');

function say(name: string, found: ReadonlyMap<string, number>, most: number): void {
	const paths = [...found.keys()].filter((p) => !p.endsWith('walk.ts'));
	const carry = paths.filter((p) => !isAsked(p));
	const floors = new Map<string, number>();
	for (const p of carry) floors.set(floorOf(p), (floors.get(floorOf(p)) ?? 0) + 1);
	const by = [...floors].sort((a, b) => b[1] - a[1]).map(([f, n]) => `${f} ${n}`);
	console.log(
		`${carry.length <= most ? 'ok  ' : 'MISS'} ${name.padEnd(22)} ${String(carry.length).padStart(3)} modules carry (asked ${most}), ${paths.length - carry.length} of the core and the catalogue are asked`
	);
	console.log(`       ${by.join(', ')}`);
	if (process.argv.includes('--files')) for (const p of carry.sort()) console.log(`       ${p}`);
}

await withDemo('walk', async ({ db, owner, physio }) => {
	const found = await owner.query<{ client_id: string }>(
		`select client_id from person where name like 'Lotte%'`
	);
	const client = found.rows[0]?.client_id;
	if (client === undefined) throw new Error('the demo is not as it was');
	const { practiceId, memberId } = physio.actor;
	const context: Context = { ...physio, inPractice: inPracticeOf(db, practiceId, memberId) };
	const event = (path: string, form?: Record<string, string>) => {
		const url = new URL(`http://127.0.0.1${path}`);
		const body = new FormData();
		for (const [k, v] of Object.entries(form ?? {})) body.set(k, v);
		const request = form === undefined ? new Request(url) : new Request(url, { method: 'POST', body });
		return { url, params: { id: client }, locals: { context }, request, depends: () => {} } as never;
	};
	const decide = await import('../src/routes/clients/[id]/decide/+page.server.ts');
	const ladders = await import('../src/routes/clients/[id]/ladders/+page.server.ts');
	const ladder = await import('../src/routes/clients/[id]/ladder/+page.server.ts');
	const log = await import('../src/routes/clients/[id]/log/+page.server.ts');
	const at = (page: string): string => `/clients/${client}/${page}`;
	type Done = { readonly done?: string; readonly data?: { readonly message?: string } };
	const pressed = async (
		press: (e: never) => unknown,
		page: string,
		form: () => Record<string, string>
	): Promise<void> => {
		const e = event(at(page), form());
		const r = (await press(e)) as Done;
		if (r.done === undefined) throw new Error(`${page}: ${r.data?.message ?? 'refused'}`);
	};
	/** One to warm up with, and the one that is counted. */
	const toGive = ['raised-seat-hands', 'raised-seat'];
	const plain = { sets: '1', reps: '5', family: 'squat', reason: 'Walked through for its path.' };
	const slip = async (): Promise<{ hash: string; basedOn: string; exerciseId: string }> => {
		const { slips } = (await decide.load(event(at('decide')))) as {
			slips: { hash: string; basedOn: string; exerciseId: string }[];
		};
		const [first] = slips;
		if (first === undefined) throw new Error('no slip');
		return first;
	};
	const { exercises } = (await log.load(event(at('log')))) as {
		exercises: { id: string; region: string; head: { id: string; step: string } }[];
	};
	const [work] = exercises;
	if (work === undefined) throw new Error('nothing in use');
	const id = (): string => newId(new Date());
	const logged = (): Record<string, string> => ({
		id: id(),
		visitId: id(),
		exerciseId: work.id,
		prescriptionId: work.head.id,
		region: work.region,
		...aSession(TODAY)
	});
	// Signed before anything is logged: after it the slip would wait for the next morning.
	const requests: readonly (readonly [string, number, () => Promise<unknown>])[] = [
		['a page: decide', 12, async () => decide.load(event(at('decide')))],
		['a page: ladders', 12, async () => ladders.load(event(at('ladders')))],
		[
			'signing',
			10,
			async () => {
				const { hash, basedOn, exerciseId } = await slip();
				const answer = { id: id(), prescriptionId: id(), exerciseId, basedOn, hash, answer: 'accepted' };
				signing = () => pressed(decide.actions.answer as never, 'decide', () => answer);
			}
		],
		['logging', 14, () => pressed(log.actions.log as never, 'log', logged)],
		[
			'prescribing',
			14,
			() =>
				pressed(ladder.actions.prescribe as never, 'ladder', () => ({
					...plain,
					step: toGive.shift() ?? '',
					id: id(),
					exerciseId: id(),
					region: work.region
				}))
		]
	];
	let signing: () => Promise<unknown> = async () => undefined;
	for (const [name, most, work] of requests) {
		// The first makes what is made once; what signs is got ready by it.
		await work();
		say(name, await entered(name === 'signing' ? () => signing() : work), most);
	}
});
