/**
 * The only way to the record: a transaction with the practice set for row security, and whose it is, which every row it writes carries. Repositories accept nothing else.
 */
import { sql, type Kysely } from 'kysely';
import pg from 'pg';
import { shelfOf, shelfWithin, type Shelf } from './shelf.ts';
import type { Tables } from './tables.ts';

/** What is asked inside a transaction; none begins in it. */
export type Inside = Omit<Kysely<Tables>, 'transaction' | 'startTransaction' | 'connection' | 'destroy'>;

/** A transaction in which the practice is set. */
export interface PracticeTransaction {
	readonly trx: Inside;
	readonly practiceId: string;
	readonly memberId: string;
	/** What was read before, to be believed by its version; what a client's own page may read is kept apart. */
	readonly shelf: Shelf;
}

export type InPractice = <T>(work: (t: PracticeTransaction) => Promise<T>) => Promise<T>;

export interface ByWhom {
	/** Of a client's own page: row security narrows to them, and lets them write what a client tells. */
	readonly client?: string;
	/** The token of whoever is signed in: what they write is theirs by it. Outside a demo nothing is written without one. */
	readonly session?: string;
}

export function inPracticeOf(
	db: Kysely<Tables>,
	practiceId: string,
	memberId: string,
	{ client = '', session = '' }: ByWhom = {}
): InPractice {
	const kept = shelfOf(db, `${practiceId} ${client}`);
	const begin = sql.raw(
		begun({
			'bolster.practice': practiceId,
			'bolster.member': memberId,
			'bolster.client': client,
			'bolster.session': session
		})
	);
	return (work) =>
		db.connection().execute(async (trx) => {
			const shelf = shelfWithin(kept);
			try {
				await begin.execute(trx);
				const done = await work({ trx, practiceId, memberId, shelf });
				await COMMIT.execute(trx);
				shelf.keep();
				return done;
			} catch (e) {
				// A connection that broke is rolled back by its end; what broke it is what is told.
				await ROLLBACK.execute(trx).catch(() => undefined);
				throw e;
			}
		});
}

const COMMIT = sql`commit`;
const ROLLBACK = sql`rollback`;

/** A transaction begun with its settings, in one question: each of the database takes a page longer than what it asks. */
const begun = (settings: Readonly<Record<string, string>>): string =>
	`begin; select ${Object.entries(settings)
		.map(([name, value]) => `set_config('${name}', ${pg.escapeLiteral(value)}, true)`)
		.join(', ')}`;
