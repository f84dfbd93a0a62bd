/** Whose plan may be a pattern for another's: clients with something in use. */
import { sql } from 'kysely';
import { type Found, LISTED, type NamedClient } from '#lib/contract/found.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead } from '../db/heads.ts';
import { partOf } from '../db/part-of.ts';

export interface Pattern extends NamedClient {
	readonly exercises: number;
}

/** Those whose name holds a text, by name, all but one client; and how many there are. */
export async function patterns(
	t: PracticeTransaction,
	but: string,
	name: string,
	most = LISTED
): Promise<Found<Pattern>> {
	const { rows } = await sql<{ client_id: string; name: string; exercises: number; found: number }>`
		select c.id as client_id, p.name, count(*)::int as exercises, (count(*) over ())::int as found
		from client c join person p on p.practice_id = c.practice_id and p.client_id = c.id
		join prescription x on x.practice_id = c.practice_id and x.client_id = c.id and x.state = 'active' and ${isHead('prescription', 'x')}
		where c.status = 'active' and c.id <> ${but} and p.name ilike ${partOf(name)}
		group by c.id, p.name order by p.name, c.id limit ${most}`.execute(t.trx);
	return {
		find: name,
		listed: rows.map((r) => ({ clientId: r.client_id, name: r.name, exercises: r.exercises })),
		found: rows[0]?.found ?? 0
	};
}
