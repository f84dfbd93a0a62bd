/** A client's rows, table by table, as they are kept: for the client to take along. What other people are is named, never their sign-in. */
import { sql } from 'kysely';
import type { PracticeTransaction } from '../db/in-practice.ts';

export interface TableRows {
	readonly table: string;
	readonly columns: readonly string[];
	readonly rows: readonly Readonly<Record<string, unknown>>[];
}

/** Kept beside the record for the program's own sake, or rebuilt from it. */
const NOT_THEIRS: ReadonlySet<string> = new Set(['receipt', 'standing']);
/** Hashes, and bytes that go along as files. */
const NOT_WRITTEN: ReadonlySet<string> = new Set(['practice_id', 'content_hash', 'token_hash', 'bytes']);

/** Every table that holds something of a client, found in the database itself: a new one is exported without being named here. */
async function tablesOf(t: PracticeTransaction): Promise<readonly { name: string; columns: string[] }[]> {
	const { rows } = await sql<{ name: string; columns: string[] }>`
		select c.table_name as name, array_agg(c.column_name::text order by c.ordinal_position) as columns
		from information_schema.columns c where c.table_schema = 'public' and exists (select 1 from information_schema.columns k
			where k.table_schema = 'public' and k.table_name = c.table_name and k.column_name = 'client_id')
		group by c.table_name order by c.table_name`.execute(t.trx);
	return rows;
}

export async function rowsOfClient(t: PracticeTransaction, clientId: string): Promise<readonly TableRows[]> {
	const out: TableRows[] = [];
	for (const { name, columns } of await tablesOf(t)) {
		if (NOT_THEIRS.has(name)) continue;
		const wanted = columns.filter((c) => !NOT_WRITTEN.has(c));
		const byMember = columns.includes('written_by');
		const { rows } = await sql<Record<string, unknown>>`select ${sql.join(
			wanted.map((c) =>
				c === 'written_by' && byMember
					? sql`(select m.name from member m where m.practice_id = x.practice_id and m.id = x.written_by) as written_by`
					: sql.ref(`x.${c}`)
			)
		)} from ${sql.table(name)} x where x.practice_id = ${t.practiceId} and x.client_id = ${clientId} order by x.id`.execute(
			t.trx
		);
		out.push({ table: name, columns: wanted, rows });
	}
	return [...out, await closings(t, clientId)];
}

/** What closed a flag names the flag alone. */
async function closings(t: PracticeTransaction, clientId: string): Promise<TableRows> {
	const columns = [
		'flag_id',
		'local_day',
		'note',
		'closed_by',
		'cleared_by',
		'cleared_on',
		'document',
		'mistaken'
	];
	const { rows } = await sql<
		Record<string, unknown>
	>`select ${sql.join(columns.map((c) => sql.ref(`k.${c}`)))}
		from flag_closing k join flag f on f.practice_id = k.practice_id and f.id = k.flag_id
		where k.practice_id = ${t.practiceId} and f.client_id = ${clientId} order by k.id`.execute(t.trx);
	return { table: 'flag_closing', columns, rows };
}

export interface FileOf {
	readonly id: string;
	readonly day: string;
	readonly title: string;
	readonly media: string;
	readonly bytes: Buffer;
}

/** Attachments that stand, with their bytes. */
export async function filesOfClient(t: PracticeTransaction, clientId: string): Promise<readonly FileOf[]> {
	const { rows } =
		await sql<FileOf>`select a.id, a.local_day as day, a.title, a.media, coalesce(nullif(a.bytes, ''::bytea),
			(select o.bytes from attachment o where o.practice_id = a.practice_id and o.client_id = a.client_id and o.sha256 = a.sha256 and o.bytes <> ''::bytea limit 1)) as bytes
		from attachment a where a.practice_id = ${t.practiceId} and a.client_id = ${clientId} and not a.voided
			and not exists (select 1 from attachment l where l.practice_id = a.practice_id and l.replaces_id = a.id) order by a.local_day, a.id`.execute(
			t.trx
		);
	return rows;
}
