/**
 * Statements that come again are prepared: the database parses and plans them once a connection instead of each time. A page of a client asks the same
 * few long questions over and over; planning them took longer than answering.
 */
import { createHash } from 'node:crypto';
import type pg from 'pg';

/** Different texts that are remembered; lists of changing length must not fill the connections' memory. */
const MOST = 200;

/** The name of each text that was seen before. */
export function namesOf(most: number = MOST): (text: string) => string | undefined {
	const seen = new Map<string, string | null>();
	return (text) => {
		const known = seen.get(text);
		if (known !== undefined && known !== null) return known;
		// Seen a second time: it comes again.
		if (known === null) {
			const name = createHash('sha1').update(text).digest('hex');
			seen.set(text, name);
			return name;
		}
		if (seen.size < most) seen.set(text, null);
		return undefined;
	};
}

type Query = (...args: unknown[]) => unknown;

/** Prepares what comes again, on every connection of a pool. */
export function prepareRepeated(pool: pg.Pool, nameOf = namesOf()): void {
	pool.on('connect', (client) => {
		const plain = client.query.bind(client) as Query;
		const query: Query = (text, values, ...rest) => {
			// Without values it is sent as it stands: what begins a transaction holds two statements, which cannot be prepared.
			if (typeof text !== 'string' || !Array.isArray(values) || values.length === 0)
				return plain(text, values, ...rest);
			const name = nameOf(text);
			return name === undefined ? plain(text, values, ...rest) : plain({ name, text, values }, ...rest);
		};
		client.query = query as typeof client.query;
	});
}
