/** What Today keeps of one client, marked as old: whatever is being judged of it meanwhile is no answer any more. */
import { sql } from 'kysely';

export const markedOld = (practiceId: string, clientId: string) =>
	sql`insert into standing (practice_id, id) values (${practiceId}, ${clientId}) on conflict (practice_id, id) do update set version = standing.version + 1, valid_until = null, judging_until = null`;
