/** Which state a client's record is in, with all that is shared in the practice; and, of one that is looked at, who looked. */
import { sql } from 'kysely';
import { contentHash } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';

interface Row {
	own: number | null;
	shared: number | null;
}

const versions = (t: PracticeTransaction, clientId: string) =>
	sql`(select version from record_version where practice_id = ${t.practiceId} and id = ${clientId}) as own,
		(select version from record_version where practice_id = ${t.practiceId} and id = ${t.practiceId}) as shared`;

const versionOf = ([row]: readonly Row[]): string | undefined =>
	row?.own == null ? undefined : `${row.own} ${row.shared}`;

/** Another after whatever is written, of them or of the practice; undefined where the client is not to be seen. */
export async function recordVersion(t: PracticeTransaction, clientId: string): Promise<string | undefined> {
	const { rows } = await sql<Row>`select ${versions(t, clientId)}`.execute(t.trx);
	return versionOf(rows);
}

/** The same of a record that is looked at, entered in the access log in the one question. Nobody looks at a client who is not there, or was put away. */
export async function lookedAt(
	t: PracticeTransaction,
	look: { readonly id: string; readonly client_id: string; readonly what: string }
): Promise<string | undefined> {
	const { rows } = await sql<Row>`with looked as (
		insert into access_log (practice_id, id, client_id, what, written_by, content_hash)
		select practice_id, ${look.id}, id, ${look.what}, ${t.memberId}, ${contentHash(look)} from client
		where practice_id = ${t.practiceId} and id = ${look.client_id} and status = 'active')
		select ${versions(t, look.client_id)}`.execute(t.trx);
	return versionOf(rows);
}
