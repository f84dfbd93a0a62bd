/**
 * What was read of a database and is kept until it changes there: a value under a key, which says itself of which version it is. The oldest used go first.
 * Each database has its own, and in it each reader whom row security shows something else.
 */
export interface Shelf {
	/** What was put there last, of whatever version. */
	readonly find: (key: string) => unknown;
	readonly put: (key: string, value: unknown) => void;
}

/** A record of twelve weeks with all that is worked out of it takes half a megabyte (measured): a hundred in all, and a day's clients of ten practitioners. */
export const MOST_KEPT = 200;

const shelves = new WeakMap<object, Map<string, unknown>>();

/** @param reader whoever sees the same rows */
export function shelfOf(db: object, reader: string): Shelf {
	const all = shelves.get(db) ?? new Map<string, unknown>();
	shelves.set(db, all);
	const at = (key: string): string => `${reader} ${key}`;
	return {
		find: (key) => {
			const value = all.get(at(key));
			if (value === undefined) return undefined;
			// Used now: it stands last.
			all.delete(at(key));
			all.set(at(key), value);
			return value;
		},
		put: (key, value) => {
			all.delete(at(key));
			all.set(at(key), value);
			const [oldest] = all.keys();
			if (all.size > MOST_KEPT && oldest !== undefined) all.delete(oldest);
		}
	};
}

/** A shelf for one transaction: what is put there is found in it at once, and kept when it is over; of one that is rolled back nothing is. */
export function shelfWithin(shelf: Shelf): Shelf & { readonly keep: () => void } {
	const own = new Map<string, unknown>();
	return {
		find: (key) => own.get(key) ?? shelf.find(key),
		put: (key, value) => void own.set(key, value),
		keep: () => {
			for (const [key, value] of own) shelf.put(key, value);
		}
	};
}
