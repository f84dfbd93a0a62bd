/** What a device keeps: against a browser's store (package `fake-indexeddb`) and every kind of answer, and none. */
import 'fake-indexeddb/auto';
import { openDB } from 'idb';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type OutboxItem, type Sent } from '#lib/contract/mine.ts';
import { NOTHING_SAID } from '#lib/contract/mine-kept.ts';
import type * as Outbox from './outbox.ts';
import { all, draftOf, drop, dropDraft, dropDrafts, keep, keepDraft, send } from './outbox.ts';

const CLIENT = 'c1';
let n = 0;
const item = (client = CLIENT): OutboxItem => ({
	...{
		id: `i${String(++n).padStart(3, '0')}`,
		kind: 'morning',
		contract: 1,
		client,
		fields: [['day', '2026-03-12']]
	}
});
type Posted = { readonly items: readonly OutboxItem[] };
const posts: Posted[] = [];
/** The server as it answers next. */
let answer: (p: Posted) => Response | Promise<Response>;
const kept = (p: Posted): Response =>
	Response.json({ sent: p.items.map((i): Sent => ({ id: i.id, state: 'kept', said: NOTHING_SAID })) });

beforeEach(async () => {
	posts.length = 0;
	answer = kept;
	for (const k of await all()) await drop(k.item.id);
	vi.stubGlobal('fetch', async (_: string, init: { body: string }) => {
		const p = JSON.parse(init.body) as Posted;
		posts.push(p);
		return answer(p);
	});
});
afterEach(() => vi.unstubAllGlobals());
const ids = async (): Promise<readonly string[]> => (await all()).map((k) => k.item.id);

describe('what was kept', () => {
	it('goes when the server says it has it, oldest first, and its answer comes back', async () => {
		const [a, b] = [item(), item()];
		await keep(b);
		await keep(a);
		const done = await send(CLIENT);
		expect(posts[0]?.items.map((i) => i.id)).toEqual([a.id, b.id]);
		expect(done).toMatchObject({ state: 'sent' });
		expect(done.state === 'sent' && [...done.answers.keys()]).toEqual([a.id, b.id]);
		expect(await ids()).toEqual([]);
	});
	it.each([
		['nobody answers', () => Promise.reject(new TypeError('Failed to fetch')), 'no-network'],
		['the server is down', () => new Response('', { status: 503 }), 'no-network'],
		['something else answers in its place', () => new Response('<html>', { status: 200 }), 'no-network'],
		['the answer is cut short', () => Response.json({ sent: [] }), 'no-network'],
		['too much was sent', () => new Response('', { status: 413 }), 'no-network'],
		['the link is over', () => new Response('{}', { status: 401 }), 'not-open']
	] as const)('stays, all of it, where %s', async (_, said, state) => {
		const [a, b] = [item(), item()];
		await keep(a);
		await keep(b);
		answer = said;
		expect(await send(CLIENT)).toEqual({ state });
		expect(await ids()).toEqual([a.id, b.id]);
		// And goes the next time.
		answer = kept;
		await send(CLIENT);
		expect(await ids()).toEqual([]);
	});
	it('is parked where it is not taken, with why, and keeps nothing else waiting; it is not sent again by itself', async () => {
		const [bad, good] = [item(), item()];
		await keep(bad);
		await keep(good);
		answer = (p) =>
			Response.json({
				sent: p.items.map((i): Sent =>
					i.id === bad.id
						? { id: i.id, state: 'parked', message: 'in the future' }
						: { id: i.id, state: 'kept', said: NOTHING_SAID }
				)
			});
		await send(CLIENT);
		expect(await all()).toMatchObject([{ item: { id: bad.id }, parked: 'in the future' }]);
		await send(CLIENT);
		expect(posts).toHaveLength(1);
	});
	it('of another client stays for them', async () => {
		await keep(item('c2'));
		expect(await send(CLIENT)).toMatchObject({ state: 'sent' });
		expect(posts).toHaveLength(0);
		expect(await ids()).toHaveLength(1);
	});
	it('asked twice at once is sent once; more than fit at once goes in parts', async () => {
		for (let i = 0; i < 60; i++) await keep(item());
		await Promise.all([send(CLIENT), send(CLIENT)]);
		expect(posts.map((p) => p.items.length)).toEqual([50, 10]);
	});
	it('that came while others were sent goes along', async () => {
		await keep(item());
		const late = item();
		answer = async (p) => {
			if (posts.length === 1) await keep(late);
			return kept(p);
		};
		await send(CLIENT);
		expect(posts.flatMap((p) => p.items.map((i) => i.id))).toContain(late.id);
	});
	it('says so where the device has no room: nothing was kept', async () => {
		const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
			throw new DOMException('full', 'QuotaExceededError');
		});
		await expect(keep(item())).rejects.toThrow('full');
		put.mockRestore();
		expect(await ids()).toEqual([]);
	});
});

it('a session that is not finished is kept as it stands, whatever watches it', async () => {
	const watched = new Proxy({ at: 3 }, {});
	await keepDraft('run', { ...{ did: watched }, day: '2026-03-12' });
	expect(await draftOf('run')).toEqual({ did: { at: 3 }, day: '2026-03-12' });
	await dropDraft('run');
	expect(await draftOf('run')).toBeUndefined();
});

describe('a draft whose page goes with the tap', () => {
	const store = new Map<string, string>();
	/** The page comes again: its script is read anew, and what the device had not yet written is gone. */
	async function again(lost: 'the slow store' | 'the quick one' | 'neither'): Promise<typeof Outbox> {
		if (lost === 'the slow store') vi.stubGlobal('indexedDB', new IDBFactory());
		if (lost === 'the quick one') store.clear();
		vi.resetModules();
		return import('./outbox.ts');
	}
	beforeEach(() => {
		store.clear();
		vi.stubGlobal('localStorage', {
			get length() {
				return store.size;
			},
			key: (i: number) => [...store.keys()][i] ?? null,
			getItem: (k: string) => store.get(k) ?? null,
			setItem: (k: string, v: string) => void store.set(k, v),
			removeItem: (k: string) => void store.delete(k)
		});
	});
	it('is there again from either store, as it was last', async () => {
		for (const lost of ['the slow store', 'the quick one', 'neither'] as const) {
			const before = await again('neither');
			await before.keepDraft('run', { sets: 1 });
			await before.keepDraft('run', { sets: 2 });
			expect(await (await again(lost)).draftOf('run'), lost).toEqual({ sets: 2 });
		}
	});
	it('is written at once, before the slow store answers', () => {
		void keepDraft('run', { sets: 3 });
		expect([...store.values()].join()).toContain('"sets":3');
	});
	it('is the later of the two where one fell behind', async () => {
		await keepDraft('run', { sets: 1 });
		const behind = new Map(store);
		await keepDraft('run', { sets: 2 });
		for (const [k, v] of behind) store.set(k, v);
		expect(await draftOf('run')).toEqual({ sets: 2 });
	});
	it('of the floor goes from both when its member signs out; a client’s own stays theirs', async () => {
		await keepDraft('floor:c1', { pain: 4 });
		await keepDraft('floor:c2', { pain: 5 });
		await keepDraft('run', { sets: 1 });
		await dropDrafts('floor:');
		expect([await draftOf('floor:c1'), await draftOf('floor:c2')]).toEqual([undefined, undefined]);
		expect([...store.values()].join()).not.toContain('pain');
		expect(await draftOf('run')).toEqual({ sets: 1 });
	});
	it('of before there were two is read as it stands', async () => {
		await keepDraft('run', {});
		store.clear();
		const db = await openDB('bolster-mine', 1);
		await db.put('drafts', { day: '2026-03-12' }, 'run');
		expect(await draftOf('run')).toEqual({ day: '2026-03-12' });
		db.close();
	});
	it('that was finished comes back from neither', async () => {
		await keepDraft('run', { sets: 1 });
		await dropDraft('run');
		expect(await draftOf('run')).toBeUndefined();
		expect(store.size).toBe(0);
	});
	it('is read from the slow store where the quick one holds no draft', async () => {
		await keepDraft('run', { sets: 1 });
		for (const k of store.keys()) store.set(k, '{"broken');
		expect(await draftOf('run')).toEqual({ sets: 1 });
	});
	it('is kept in the slow store alone where the quick one has no room or may not be used', async () => {
		vi.stubGlobal('localStorage', {
			getItem: () => {
				throw new Error('not allowed');
			},
			setItem: () => {
				throw new Error('no room');
			},
			removeItem: () => {
				throw new Error('not allowed');
			}
		});
		await keepDraft('run', { sets: 4 });
		expect(await draftOf('run')).toEqual({ sets: 4 });
		await dropDraft('run');
		expect(await draftOf('run')).toBeUndefined();
	});
});
