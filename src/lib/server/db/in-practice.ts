/**
 * The only way to the record: a transaction with the practice set for row security, and whose it is, which every row it writes carries. Repositories accept nothing else.
 */
import { sql, type Kysely, type Transaction } from 'kysely';
import { shelfOf, type Shelf } from './shelf.ts';
import type { Tables } from './tables.ts';

/** A transaction in which the practice is set. */
export interface PracticeTransaction {
	readonly trx: Transaction<Tables>;
	readonly practiceId: string;
	readonly memberId: string;
	/** What was read before and can be asked for by its version; what a client's own page may read is kept apart. */
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
	const shelf = shelfOf(db, `${practiceId} ${client}`);
	return (work) =>
		db.transaction().execute(async (trx) => {
			await sql`select set_config('bolster.practice', ${practiceId}, true), set_config('bolster.member', ${memberId}, true), set_config('bolster.client', ${client}, true), set_config('bolster.session', ${session}, true)`.execute(
				trx
			);
			return work({ trx, practiceId, memberId, shelf });
		});
}
