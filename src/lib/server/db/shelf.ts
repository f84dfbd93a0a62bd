/**
 * What was read of a database and is kept until it changes there: a value under a key, for one version of what it was read from. The oldest used go first.
 * Each database has its own, and in it each reader whom row security shows something else.
 */
export interface Shelf {
	readonly find: (key: string, version: string) => unknown;
	readonly put: (key: string, version: string, value: unknown) => void;
}

/** A record of twelve weeks with all that is worked out of it takes half a megabyte (measured): a hundred in all, and a day's clients of ten practitioners. */
export const MOST_KEPT = 200;

interface Kept {
	readonly version: string;
	readonly value: unknown;
}

const shelves = new WeakMap<object, Map<string, Kept>>();

/** @param reader whoever sees the same rows */
export function shelfOf(db: object, reader: string): Shelf {
	const all = shelves.get(db) ?? new Map<string, Kept>();
	shelves.set(db, all);
	const at = (key: string): string => `${reader} ${key}`;
	return {
		find: (key, version) => {
			const kept = all.get(at(key));
			if (kept === undefined || kept.version !== version) return undefined;
			// Used now: it stands last.
			all.delete(at(key));
			all.set(at(key), kept);
			return kept.value;
		},
		put: (key, version, value) => {
			all.delete(at(key));
			all.set(at(key), { version, value });
			const [oldest] = all.keys();
			if (all.size > MOST_KEPT && oldest !== undefined) all.delete(oldest);
		}
	};
}
