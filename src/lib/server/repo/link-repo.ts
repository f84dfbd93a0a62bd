/** The link of a client's own page that stands, and the devices it was opened on. */
import { sql } from 'kysely';
import { isHead } from '../db/heads.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';

export interface Link {
	readonly id: string;
	readonly day: string;
	readonly until: Date;
	/** Its day has come. */
	readonly over: boolean;
	readonly devices: number;
	readonly lastOpened: Date | null;
}

export async function linkOf(t: PracticeTransaction, clientId: string): Promise<Link | null> {
	const { rows } = await sql<Link>`
		select l.id, l.local_day as day, l.expires_at as until, l.expires_at <= now() as over,
			(select count(*)::int from client_device d where d.practice_id = l.practice_id and d.link_id = l.id) as devices,
			(select max(d.opened_at) from client_device d where d.practice_id = l.practice_id and d.link_id = l.id) as "lastOpened"
		from client_link l where l.practice_id = ${t.practiceId} and l.client_id = ${clientId} and ${isHead('client_link', 'l')}
		order by l.recorded_at desc limit 1`.execute(t.trx);
	return rows[0] ?? null;
}

export async function nameOf(t: PracticeTransaction, clientId: string): Promise<string> {
	const row = await t.trx
		.selectFrom('person')
		.select('name')
		.where('practice_id', '=', t.practiceId)
		.where('client_id', '=', clientId)
		.executeTakeFirst();
	return row?.name ?? '';
}
