/** All clients of a practice by name, those who come and those who were put away; and the rows that say so. */
import { sql } from 'kysely';
import type { ClientRow, ClientsAsked } from '#lib/contract/episode-form.ts';
import { type Found, LISTED } from '#lib/contract/found.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead } from '../db/heads.ts';
import { partOf } from '../db/part-of.ts';

interface Row {
	id: string;
	name: string;
	occupation: string | null;
	status: 'active' | 'archived';
	opened_on: string;
	last_session: string | null;
	in_use: number;
	ended_day: string | null;
	ended_reason: string | null;
	ended_outcome: readonly string[] | null;
	found: number;
}

export async function clientList(
	t: PracticeTransaction,
	{ search, status, order, page }: ClientsAsked,
	size: number
): Promise<{ readonly rows: readonly ClientRow[]; readonly found: number }> {
	const last = sql`(select max(v.local_day) from visit v where v.practice_id = c.practice_id and v.client_id = c.id and not v.voided)`;
	const inUse = sql`(select count(*)::int from prescription x where x.practice_id = c.practice_id and x.client_id = c.id and x.state = 'active' and ${isHead('prescription', 'x')})`;
	/** Only what is ordered by is worked out for all; the rest for those of the page. */
	const by = { name: sql`null::int`, since: sql`c.opened_on`, lately: last, use: inUse }[order];
	const { rows } = await sql<Row>`
		with chosen as (
			select c.practice_id, c.id, p.name, p.occupation, c.status, c.opened_on, ${by} as rank, count(*) over ()::int as found
			from client c join person p on p.practice_id = c.practice_id and p.client_id = c.id
			where (${search} = '' or p.name ilike ${partOf(search)}) and (${status} = 'all' or c.status = ${status})
			order by rank desc nulls last, p.name, c.id limit ${size} offset ${(page - 1) * size})
		select c.id, c.name, c.occupation, c.status, c.opened_on, c.found, ${last} as last_session, ${inUse} as in_use,
			e.local_day as ended_day, e.reason as ended_reason, e.outcome as ended_outcome
		from chosen c left join lateral (select s.local_day, s.reason, s.outcome from client_status s where s.practice_id = c.practice_id and s.client_id = c.id and s.status = 'archived' order by s.recorded_at desc limit 1) e on true
		order by c.rank desc nulls last, c.name, c.id`.execute(t.trx);
	return {
		found: rows[0]?.found ?? 0,
		rows: rows.map((r) => ({
			clientId: r.id,
			name: r.name,
			occupation: r.occupation ?? '',
			status: r.status,
			openedOn: r.opened_on,
			lastSession: r.last_session,
			inUse: r.in_use,
			ended:
				r.ended_day === null
					? null
					: { day: r.ended_day, reason: r.ended_reason ?? '', goals: r.ended_outcome ?? [] }
		}))
	};
}

/** Name and standing of a client, put away or not; undefined where there is none here. */
export async function standingOfClient(
	t: PracticeTransaction,
	clientId: string
): Promise<{ readonly name: string; readonly status: 'active' | 'archived' } | undefined> {
	const { rows } = await sql<{ name: string; status: 'active' | 'archived' }>`
		select p.name, c.status from client c join person p on p.practice_id = c.practice_id and p.client_id = c.id where c.id = ${clientId}`.execute(
		t.trx
	);
	return rows[0];
}

export const setStatus = (t: PracticeTransaction, clientId: string, status: 'active' | 'archived') =>
	t.trx
		.updateTable('client')
		.set({ status })
		.where('practice_id', '=', t.practiceId)
		.where('id', '=', clientId)
		.execute();

/** Clients who come and whose name holds a text, by name, but for some. */
export async function clientsNamed(
	t: PracticeTransaction,
	name: string,
	but: readonly string[],
	most = LISTED
): Promise<Found> {
	const { rows } = await sql<{ id: string; name: string; found: number }>`
		select c.id, p.name, (count(*) over ())::int as found from client c join person p on p.practice_id = c.practice_id and p.client_id = c.id
		where c.practice_id = ${t.practiceId} and c.status = 'active' and p.name ilike ${partOf(name)} and c.id <> all(${but}::uuid[])
		order by p.name, c.id limit ${most}`.execute(t.trx);
	return {
		find: name,
		listed: rows.map((r) => ({ clientId: r.id, name: r.name })),
		found: rows[0]?.found ?? 0
	};
}

/** Who filled in an arrival card on a day, in the order they came. */
export async function arrivedOn(t: PracticeTransaction, day: string): Promise<readonly string[]> {
	const { rows } = await sql<{ id: string }>`
		select a.client_id as id from arrival a join client c on c.practice_id = a.practice_id and c.id = a.client_id and c.status = 'active'
		where a.practice_id = ${t.practiceId} and a.local_day = ${day} and ${isHead('arrival', 'a')} group by a.client_id order by min(a.recorded_at)`.execute(
		t.trx
	);
	return rows.map((r) => r.id);
}
