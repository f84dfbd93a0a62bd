/** Which state a client's record is in, with all that is shared in the practice. */
import { sql } from 'kysely';
import type { PracticeTransaction } from '../db/in-practice.ts';

/** Another after whatever is written, of them or of the practice; undefined where the client is not to be seen. */
export async function recordVersion(t: PracticeTransaction, clientId: string): Promise<string | undefined> {
	const { rows } = await sql<{ own: number | null; shared: number | null }>`
		select (select version from record_version where practice_id = ${t.practiceId} and id = ${clientId}) as own,
			(select version from record_version where practice_id = ${t.practiceId} and id = ${t.practiceId}) as shared`.execute(
		t.trx
	);
	const [row] = rows;
	return row?.own == null ? undefined : `${row.own} ${row.shared}`;
}
