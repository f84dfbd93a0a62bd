/** Where each client stands on Today, as it was judged last. Rows are kept beside the record and can be thrown away. */
import { sql } from 'kysely';
import type { Order } from '#lib/contract/today-form.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { markedOld } from './standing-row.ts';

/** What was judged: `row` is what Today shows, without the name. */
export interface Judged {
	readonly rank: number;
	readonly waiting: boolean;
	readonly validUntil: Day;
	readonly row: unknown;
}

/** A client to be judged anew, and the version the answer is for: if the record changes meanwhile, the answer is dropped. */
export interface Unjudged {
	readonly clientId: string;
	readonly version: number;
}

/** What is known of one client has changed, or, when none is named, of all: in the transaction that changes it. */
export async function unjudge(t: PracticeTransaction, clientId?: string): Promise<void> {
	if (clientId === undefined)
		// One after another by their ids, as whoever judges keeps them: two of them never wait for each other.
		await sql`update standing set version = version + 1, valid_until = null, judging_until = null
			from (select id from standing where practice_id = ${t.practiceId} order by id for update) one
			where practice_id = ${t.practiceId} and standing.id = one.id`.execute(t.trx);
	else await markedOld(t.practiceId, clientId).execute(t.trx);
}

/** Clients whose row is missing, changed, of another day or of another engine, the longest waiting first. */
export async function unjudged(
	t: PracticeTransaction,
	today: Day,
	judgedBy: string
): Promise<readonly Unjudged[]> {
	const { rows } = await sql<{ id: string; version: number | null }>`
		select c.id, s.version from ${oldRows(today, judgedBy)}`.execute(t.trx);
	return rows.map((r) => ({ clientId: r.id, version: r.version ?? 0 }));
}

const oldRows = (today: Day, judgedBy: string, also = sql`true`) => sql`client c
	left join standing s on s.practice_id = c.practice_id and s.id = c.id
	where c.status = 'active' and (s.valid_until is null or s.valid_until <= ${today} or s.as_of > ${today} or s.judged_by is distinct from ${judgedBy}) and ${also}
	order by s.as_of nulls first, s.rank, c.id`;

/** So long a row is whose it was taken by; a process that ended meanwhile leaves it to the next. */
const TAKEN = sql`interval '30 seconds'`;
const nobodys = (alias: string) => sql`coalesce(${sql.ref(`${alias}.judging_until`)} < now(), true)`;

/** The next of them that nobody else is judging, taken: of several that ask at once each gets others. */
export async function takeOld(
	t: PracticeTransaction,
	today: Day,
	judgedBy: string,
	most: number
): Promise<readonly Unjudged[]> {
	const { rows } = await sql<{ id: string; version: number }>`
		with old as (select c.practice_id, c.id from ${oldRows(today, judgedBy, nobodys('s'))} limit ${most})
		insert into standing (practice_id, id, judging_until) select practice_id, id, now() + ${TAKEN} from old order by id
		on conflict (practice_id, id) do update set judging_until = excluded.judging_until where ${nobodys('standing')}
		returning id, version`.execute(t.trx);
	return rows.map((r) => ({ clientId: r.id, version: r.version }));
}

/** An answer, and which version of which client it is for. */
export interface Answer extends Unjudged, Judged {}

/**
 * Keeps answers for the versions they were made from, in one question: whoever saves meanwhile waits for no more than that. Answers whose record has changed since are dropped.
 * @returns the clients whose answer was kept
 */
export async function keepJudged(
	t: PracticeTransaction,
	answers: readonly Answer[],
	today: Day,
	judgedBy: string
): Promise<readonly string[]> {
	const { rows } = await sql<{ id: string }>`
		insert into standing (practice_id, id, version, as_of, valid_until, judged_by, rank, waiting, today_row)
		select ${t.practiceId}::uuid, a."clientId", a.version, ${today}::date, a."validUntil", ${judgedBy}::text, a.rank, a.waiting, a.row
		from jsonb_to_recordset(${JSON.stringify(answers)}::jsonb) as a ("clientId" uuid, version int, "validUntil" date, rank double precision, waiting boolean, row jsonb)
		order by a."clientId"
		on conflict (practice_id, id) do update set as_of = excluded.as_of, valid_until = excluded.valid_until, judged_by = excluded.judged_by, rank = excluded.rank, waiting = excluded.waiting, today_row = excluded.today_row, judging_until = null
		where standing.version = excluded.version
		returning id`.execute(t.trx);
	return rows.map((r) => r.id);
}

export interface KeptRow {
	readonly clientId: string;
	readonly name: string;
	readonly row: unknown;
	/** Judged for an earlier day or before a change: what it says may be old. */
	readonly old: boolean;
}

/** Which clients are shown: empty says all. */
export interface Chosen {
	/** Part of a name. */
	readonly search: string;
	/** A decision, `quiet`, or `waiting` for those that wait for an answer. */
	readonly show: string;
	/** A part of the body, as the row says it. */
	readonly part: string;
	/** What is due with them. */
	readonly due: string;
	/** Whose last session was before this day is silent. */
	readonly silentBefore: Day;
}

export interface Asked extends Chosen {
	readonly today: Day;
	readonly judgedBy: string;
	readonly order: Order;
	readonly from: number;
	readonly size: number;
}

/** Most pressing first; by name; the longest without a session first. */
const BY: Readonly<Record<Order, ReturnType<typeof sql.raw>>> = {
	need: sql.raw('s.rank, p.name, c.id'),
	name: sql.raw('lower(p.name), c.id'),
	silent: sql.raw("s.today_row->>'lastSession' nulls first, p.name, c.id")
};

/** A page of Today by need, and how many there are: all, found, and waiting for an answer. One query each. */
export async function keptRows(
	t: PracticeTransaction,
	{ today, judgedBy, order, from, size, ...chosen }: Asked
): Promise<readonly KeptRow[]> {
	const { rows } = await sql<{ id: string; name: string; today_row: unknown; old: boolean }>`
		select c.id, p.name, s.today_row, (s.valid_until is null or s.valid_until <= ${today} or s.as_of > ${today} or s.judged_by is distinct from ${judgedBy}) as old
		from standing s join client c on c.practice_id = s.practice_id and c.id = s.id join person p on p.practice_id = c.practice_id and p.client_id = c.id
		where c.status = 'active' and s.today_row is not null and ${among(chosen)}
		order by ${BY[order]} limit ${size} offset ${from}`.execute(t.trx);
	return rows.map((r) => ({ clientId: r.id, name: r.name, row: r.today_row, old: r.old }));
}

export async function counted(
	t: PracticeTransaction,
	chosen: Chosen
): Promise<{ readonly all: number; readonly found: number; readonly waiting: number }> {
	const { rows } = await sql<{ all: number; found: number; waiting: number }>`
		select count(*) as "all", count(*) filter (where ${among(chosen)}) as found, count(*) filter (where s.waiting) as waiting
		from client c join person p on p.practice_id = c.practice_id and p.client_id = c.id left join standing s on s.practice_id = c.practice_id and s.id = c.id
		where c.status = 'active'`.execute(t.trx);
	return rows[0] ?? { all: 0, found: 0, waiting: 0 };
}

/** What is due, and with how many clients. */
export async function dueCounts(
	t: PracticeTransaction,
	silentBefore: Day
): Promise<readonly { readonly what: string; readonly clients: number }[]> {
	const { rows } = await sql<{ what: string; clients: number }>`
		select w.what, count(*) as clients from standing s join client c on c.practice_id = s.practice_id and c.id = s.id
		cross join lateral (select jsonb_array_elements_text(s.today_row->'due') as what union all select 'silent' where ${silent(silentBefore)}) w
		where c.status = 'active' group by w.what`.execute(t.trx);
	return rows;
}

const silent = (before: Day) => sql<boolean>`s.today_row->>'lastSession' < ${before}::text`;

/** Parts of what a row says, as they were chosen: nothing of them is a pattern. */
const among = ({ search, show, part, due, silentBefore }: Chosen) => sql<boolean>`(
	(${search}::text = '' or position(lower(${search}) in lower(p.name)) > 0)
	and (${show}::text = '' or (${show} = 'waiting' and s.waiting) or s.today_row->>'decision' = ${show})
	and (${due}::text = '' or (${due} = 'silent' and ${silent(silentBefore)}) or jsonb_exists(s.today_row->'due', ${due}))
	and (${part}::text = '' or position(${part} in s.today_row->>'regions') > 0))`;
