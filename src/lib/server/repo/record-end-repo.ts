/** The end of a record: how long it was kept, who asked for its end, and what remains of those that ended. */
import { sql } from 'kysely';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { EraseBecause, RecordKept } from '#lib/core/client/erasure.ts';
import { isHead } from '../db/heads.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';

export interface KeptRecord extends RecordKept {
	readonly clientId: string;
	readonly name: string;
	readonly archived: boolean;
}

interface KeptRow {
	client_id: string;
	name: string;
	status: string;
	last_work: Day;
	worked: number;
}

/** What was done last with a record: a visit, a decision, a prescription, a morning, a screening, a measurement, or that it was opened. */
const LAST_WORK = sql`greatest(c.opened_on, ${sql.join(
	[
		'visit',
		'decision',
		'prescription',
		'checkin',
		'screening',
		'measurement',
		'test_result',
		'client_status',
		'note'
	].map(
		(table) =>
			sql`(select max(x.local_day) from ${sql.table(table)} x where x.practice_id = c.practice_id and x.client_id = c.id)`
	)
)})`;
const WORKED = sql`((select count(*) from visit x where x.practice_id = c.practice_id and x.client_id = c.id)
	+ (select count(*) from decision x where x.practice_id = c.practice_id and x.client_id = c.id))::int`;

const keptOf = (r: KeptRow): KeptRecord => ({
	clientId: r.client_id,
	name: r.name,
	archived: r.status === 'archived',
	lastWork: r.last_work,
	worked: r.worked
});

export async function keptRecord(t: PracticeTransaction, clientId: string): Promise<KeptRecord | undefined> {
	const { rows } =
		await sql<KeptRow>`select c.id as client_id, p.name, c.status, ${LAST_WORK} as last_work, ${WORKED} as worked
		from client c join person p on p.practice_id = c.practice_id and p.client_id = c.id
		where c.practice_id = ${t.practiceId} and c.id = ${clientId}`.execute(t.trx);
	return rows[0] === undefined ? undefined : keptOf(rows[0]);
}

/** Clients who were put away and whose last work is as old as that, oldest first. */
export async function keptLongEnough(
	t: PracticeTransaction,
	upTo: Day,
	most: number
): Promise<readonly KeptRecord[]> {
	const { rows } =
		await sql<KeptRow>`select * from (select c.id as client_id, p.name, c.status, ${LAST_WORK} as last_work, ${WORKED} as worked
		from client c join person p on p.practice_id = c.practice_id and p.client_id = c.id
		where c.practice_id = ${t.practiceId} and c.status = 'archived') x where last_work <= ${upTo} order by last_work, client_id limit ${most}`.execute(
			t.trx
		);
	return rows.map(keptOf);
}

export interface ErasureRequest {
	readonly id: string;
	readonly clientId: string;
	readonly name: string;
	readonly because: EraseBecause;
	readonly why: string;
	readonly day: Day;
	readonly by: string;
	readonly byId: string;
}

/** Requests that stand, oldest first; of one client, or of all. */
export async function erasureRequests(
	t: PracticeTransaction,
	clientId?: string
): Promise<readonly ErasureRequest[]> {
	const { rows } = await sql<{
		id: string;
		client_id: string;
		name: string;
		because: EraseBecause;
		why: string;
		local_day: Day;
		by_name: string;
		written_by: string;
	}>`select r.id, r.client_id, p.name, r.because, r.why, r.local_day, m.name as by_name, r.written_by
		from erasure_request r join person p on p.practice_id = r.practice_id and p.client_id = r.client_id
		join member m on m.practice_id = r.practice_id and m.id = r.written_by
		where r.practice_id = ${t.practiceId} and ${isHead('erasure_request', 'r')}
		${clientId === undefined ? sql`` : sql`and r.client_id = ${clientId}`} order by r.recorded_at, r.id`.execute(
		t.trx
	);
	return rows.map((r) => ({
		id: r.id,
		clientId: r.client_id,
		name: r.name,
		because: r.because,
		why: r.why,
		day: r.local_day,
		by: r.by_name,
		byId: r.written_by
	}));
}

/** Through the one door there is; answers what stood in the way, or how many rows went. */
export async function eraseClient(t: PracticeTransaction, requestId: string): Promise<string> {
	const { rows } = await sql<{
		answer: string;
	}>`select erase_client(${requestId}::uuid, ${t.memberId}::uuid) as answer`.execute(t.trx);
	return rows[0]?.answer ?? 'unknown';
}

export interface Erased {
	readonly clientId: string;
	readonly because: EraseBecause;
	readonly at: Date;
	readonly askedBy: string;
	readonly agreedBy: string;
	readonly rows: number;
}

/** Who was erased, by id alone, newest first. */
export async function erasures(t: PracticeTransaction): Promise<readonly Erased[]> {
	const { rows } = await sql<{
		id: string;
		because: EraseBecause;
		erased_at: Date;
		asked: string;
		agreed: string;
		rows: number;
	}>`select e.id, e.because, e.erased_at, a.name as asked, g.name as agreed, e.rows from erasure e
		join member a on a.practice_id = e.practice_id and a.id = e.asked_by
		join member g on g.practice_id = e.practice_id and g.id = e.agreed_by
		where e.practice_id = ${t.practiceId} order by e.erased_at desc limit 100`.execute(t.trx);
	return rows.map((r) => ({
		clientId: r.id,
		because: r.because,
		at: r.erased_at,
		askedBy: r.asked,
		agreedBy: r.agreed,
		rows: r.rows
	}));
}
