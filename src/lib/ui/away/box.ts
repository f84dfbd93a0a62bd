/**
 * Sessions that were seen without a network, kept on the device until the practice has them. One is written before anything says so; it goes when the server says it
 * has it, and only ever in the name of the member who wrote it; what the server does not take is parked for them to see.
 */
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Fields, Posted } from './send.ts';

export interface Waiting {
	/** Of the session: sent twice it is one. */
	readonly id: string;
	readonly member: string;
	readonly clientId: string;
	readonly client: string;
	readonly day: string;
	readonly fields: Fields;
	/** When it was written, ms of the clock. */
	readonly at: number;
	/** Why the server did not take it; null while it waits. */
	readonly parked: string | null;
}

interface Box extends DBSchema {
	sessions: { key: string; value: Waiting };
}

let opened: Promise<IDBPDatabase<Box>> | undefined;
const box = (): Promise<IDBPDatabase<Box>> =>
	(opened ??= openDB<Box>('bolster-away', 1, {
		upgrade(db) {
			db.createObjectStore('sessions');
		}
	}));

/** Keeps a session, durably. @throws where the device has no room: then nothing was kept */
export async function keep(w: Omit<Waiting, 'parked'>): Promise<void> {
	const t = (await box()).transaction('sessions', 'readwrite', { durability: 'strict' });
	const plain = JSON.parse(JSON.stringify({ ...w, parked: null })) as Waiting;
	await Promise.all([t.store.put(plain, w.id), t.done]);
}

/** Everybody's on this device, oldest first. */
export const all = async (): Promise<readonly Waiting[]> =>
	[...(await (await box()).getAll('sessions'))].sort((a, b) => a.at - b.at);
export const drop = async (id: string): Promise<void> => (await box()).delete('sessions', id);

export type Sent = ReadonlyMap<string, Posted>;
type Post = (clientId: string, fields: Fields) => Promise<Posted>;
let sending: Promise<Sent> | undefined;

/** Sends what waits of a member, oldest first, until nothing answers; asked twice at once it is sent once. What was answered, by id. */
export const send = (member: string, post: Post): Promise<Sent> =>
	(sending ??= sendAll(member, post).finally(() => (sending = undefined)));

async function sendAll(member: string, post: Post): Promise<Sent> {
	const answers = new Map<string, Posted>();
	for (const w of await all()) {
		if (w.member !== member || w.parked !== null) continue;
		const posted = await post(w.clientId, w.fields);
		answers.set(w.id, posted);
		if (posted.state === 'kept') await drop(w.id);
		else if (posted.state === 'refused')
			await (await box()).put('sessions', { ...w, parked: posted.why }, w.id);
		else break;
	}
	return answers;
}

/** Once more: it was mended where it was refused, or is tried again. */
export async function retry(id: string): Promise<void> {
	const w = await (await box()).get('sessions', id);
	if (w !== undefined) await (await box()).put('sessions', { ...w, parked: null }, id);
}
