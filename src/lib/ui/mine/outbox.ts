/**
 * What a client entered, kept on their device until the practice has it: nothing that said "kept" is lost, through a closed tab, a flat battery, no network, a link
 * that is over. An item is written before anything says so; it goes when the server says it has it; what the server does not take is parked for its holder to see.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { OutboxItem, Sent } from '#lib/contract/mine.ts';
import type { Answered } from '#lib/contract/mine-kept.ts';

export interface Kept {
	readonly item: OutboxItem;
	/** Parked with why; null while it waits. */
	readonly parked: string | null;
}

interface Box extends DBSchema {
	items: { key: string; value: Kept };
	drafts: { key: string; value: unknown };
}

const NAME = 'bolster-mine';
let opened: Promise<IDBPDatabase<Box>> | undefined;
const box = (): Promise<IDBPDatabase<Box>> =>
	(opened ??= openDB<Box>(NAME, 1, {
		upgrade(db) {
			db.createObjectStore('items');
			db.createObjectStore('drafts');
		}
	}));

/** Keeps an item, durably. @throws where the device has no room: then nothing was kept */
export async function keep(item: OutboxItem): Promise<void> {
	const t = (await box()).transaction('items', 'readwrite', { durability: 'strict' });
	const plain = JSON.parse(JSON.stringify(item)) as OutboxItem;
	await Promise.all([t.store.put({ item: plain, parked: null }, item.id), t.done]);
}

export const all = async (): Promise<readonly Kept[]> => (await box()).getAll('items');
export const drop = async (id: string): Promise<void> => (await box()).delete('items', id);

/**
 * A draft stands in two stores: at once in the one that is written while the page waits, for the page may go with the very tap; and in the one that outlives a
 * flat battery. Of the two the later one holds.
 */
interface Stamped {
	readonly stamp: number;
	readonly draft: unknown;
}
const AT_ONCE = 'bolster-mine-draft:';
let lastStamp = 0;

/** Not every browser lets a page use it, nor has it always room: the other store is there. */
function quickly<T>(use: (store: Storage) => T): T | undefined {
	try {
		return use(localStorage);
	} catch {
		return undefined;
	}
}
const stamped = (value: unknown): value is Stamped =>
	typeof value === 'object' && value !== null && 'stamp' in value && 'draft' in value;

export async function draftOf<T>(key: string): Promise<T | undefined> {
	const quick = quickly((s) => JSON.parse(s.getItem(AT_ONCE + key) ?? 'null') as unknown);
	const slow: unknown = await (await box()).get('drafts', key);
	// Of before there were two: as it stands.
	if (slow !== undefined && !stamped(slow)) return stamped(quick) ? (quick.draft as T) : (slow as T);
	if (!stamped(quick)) return slow?.draft as T | undefined;
	return (slow === undefined || quick.stamp >= slow.stamp ? quick.draft : slow.draft) as T;
}

/** @throws where the store that lasts has no room */
export async function keepDraft(key: string, draft: unknown): Promise<void> {
	lastStamp = Math.max(lastStamp + 1, Date.now());
	// As plain data: what a page holds may be watched, and is not taken as it is.
	const text = JSON.stringify({ stamp: lastStamp, draft });
	quickly((s) => s.setItem(AT_ONCE + key, text));
	await (await box()).put('drafts', JSON.parse(text) as unknown, key);
}
export async function dropDraft(key: string): Promise<void> {
	quickly((s) => s.removeItem(AT_ONCE + key));
	await (await box()).delete('drafts', key);
}

/** All whose key begins so, from both stores. */
export async function dropDrafts(prefix: string): Promise<void> {
	const quick = quickly((s) => Array.from({ length: s.length }, (_, i) => s.key(i) ?? '')) ?? [];
	for (const key of quick.filter((k) => k.startsWith(AT_ONCE + prefix))) quickly((s) => s.removeItem(key));
	const keys = await (await box()).getAllKeys('drafts');
	await Promise.all(keys.filter((k) => k.startsWith(prefix)).map(dropDraft));
}

export type Sending =
	| { readonly state: 'sent'; readonly answers: ReadonlyMap<string, Answered> }
	/** No answer: all of it waits. */
	| { readonly state: 'no-network' }
	/** The link is over: all of it waits for another. */
	| { readonly state: 'not-open' };

const MOST_AT_ONCE = 50;
let sending: Promise<Sending> | undefined;

/** Sends what waits, oldest first; asked twice at once it is sent once. */
export const send = (client: string): Promise<Sending> =>
	(sending ??= sendAll(client).finally(() => (sending = undefined)));

async function sendAll(client: string): Promise<Sending> {
	const answers = new Map<string, Answered>();
	for (;;) {
		const waiting = (await all()).filter((k) => k.parked === null && k.item.client === client);
		if (waiting.length === 0) return { state: 'sent', answers };
		const items = waiting.slice(0, MOST_AT_ONCE).map((k) => k.item);
		const sent = await post(items);
		if (typeof sent === 'string') return { state: sent };
		for (const s of sent) {
			const item = items.find((i) => i.id === s.id);
			if (item === undefined) continue;
			if (s.state === 'kept') {
				answers.set(s.id, s.said);
				await drop(s.id);
			} else await (await box()).put('items', { item, parked: s.message }, s.id);
		}
	}
}

async function post(items: readonly OutboxItem[]): Promise<readonly Sent[] | 'no-network' | 'not-open'> {
	try {
		const r = await fetch('/mine/outbox', {
			method: 'POST',
			headers: { 'content-type': 'application/json' },
			body: JSON.stringify({ items })
		});
		if (r.status === 401) return 'not-open';
		// A server that is down, or in front of which something else answers, has taken nothing.
		if (!r.ok) return 'no-network';
		const answer = (await r.json()) as { readonly sent?: readonly Sent[] };
		return answer.sent !== undefined && answer.sent.length === items.length ? answer.sent : 'no-network';
	} catch {
		return 'no-network';
	}
}
