/** Which state a client's record is in, with all that is shared in the practice; and, of one that is looked at, who looked. */
import { sql } from 'kysely';
import { contentHash } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { versionOf, type NumberedRow, type RecordVersion } from './record-version-row.ts';

const numbered = (t: PracticeTransaction, id: string) =>
	sql`(select jsonb_build_object('version', version, 'parts', parts) from record_version where practice_id = ${t.practiceId} and id = ${id})`;
const versions = (t: PracticeTransaction, clientId: string) =>
	sql`${numbered(t, clientId)} as own, ${numbered(t, t.practiceId)} as shared`;

/** Another after whatever is written, of them or of the practice; undefined where the client is not to be seen. */
export async function recordVersion(
	t: PracticeTransaction,
	clientId: string
): Promise<RecordVersion | undefined> {
	const { rows } = await sql<NumberedRow>`select ${versions(t, clientId)}`.execute(t.trx);
	return versionOf(rows);
}

/** The same of a record that is looked at, entered in the access log in the one question. Nobody looks at a client who is not there, or was put away. */
export async function lookedAt(
	t: PracticeTransaction,
	look: { readonly id: string; readonly client_id: string; readonly what: string }
): Promise<RecordVersion | undefined> {
	const { rows } = await sql<NumberedRow>`with looked as (
		insert into access_log (practice_id, id, client_id, what, written_by, content_hash)
		select practice_id, ${look.id}, id, ${look.what}, ${t.memberId}, ${contentHash(look)} from client
		where practice_id = ${t.practiceId} and id = ${look.client_id} and status = 'active')
		select ${versions(t, look.client_id)}`.execute(t.trx);
	return versionOf(rows);
}
