/** Whose plan may be a pattern for another's: clients with something in use. */
import { sql } from 'kysely';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead } from '../db/heads.ts';

export interface Pattern {
	readonly clientId: string;
	readonly name: string;
	readonly exercises: number;
}

/** By name, all but one client. */
export async function patterns(t: PracticeTransaction, but: string): Promise<readonly Pattern[]> {
	const { rows } = await sql<{ client_id: string; name: string; exercises: number }>`
		select c.id as client_id, p.name, count(*)::int as exercises
		from client c join person p on p.practice_id = c.practice_id and p.client_id = c.id
		join prescription x on x.practice_id = c.practice_id and x.client_id = c.id and x.state = 'active' and ${isHead('prescription', 'x')}
		where c.status = 'active' and c.id <> ${but}
		group by c.id, p.name order by p.name, c.id limit 200`.execute(t.trx);
	return rows.map((r) => ({ clientId: r.client_id, name: r.name, exercises: r.exercises }));
}
