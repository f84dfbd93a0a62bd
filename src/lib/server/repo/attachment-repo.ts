/** The bytes of an attachment. Lists of them are in the record's entries, without the bytes. */
import { sql } from 'kysely';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead } from '../db/heads.ts';

export interface StoredFile {
	readonly title: string;
	readonly media: string;
	readonly bytes: Buffer;
}

/** The file of an entry that stands, or of the one that a corrected title follows. */
export async function attachmentOf(
	t: PracticeTransaction,
	clientId: string,
	id: string
): Promise<StoredFile | undefined> {
	const { rows } = await sql<StoredFile>`
		select a.title, a.media, coalesce(nullif(a.bytes, ''::bytea),
			(select o.bytes from attachment o where o.practice_id = a.practice_id and o.client_id = a.client_id and o.sha256 = a.sha256 and o.bytes <> ''::bytea limit 1)) as bytes
		from attachment a where a.client_id = ${clientId} and a.id = ${id} and ${isHead('attachment', 'a')}`.execute(
		t.trx
	);
	return rows[0];
}
