/**
 * Appending a row once: the same id with the same content is success and writes nothing; the same id with other content is a
 * conflict. A second successor of the same row is a conflict too.
 */
import { createHash } from 'node:crypto';
import { sql, type Insertable } from 'kysely';
import { canonical } from '#lib/core/base/canonical.ts';
import type { PracticeTransaction } from './in-practice.ts';
import type { Appended, Tables } from './tables.ts';

type AppendedName = { [K in keyof Tables]: Tables[K] extends Appended ? K : never }[keyof Tables];
type Own<K extends AppendedName> = Omit<
	Insertable<Tables[K]>,
	'practice_id' | 'written_by' | 'recorded_at' | 'content_hash' | 'replaces_id' | 'voided' | 'reason'
> & {
	replaces_id?: string | null;
	voided?: boolean;
	reason?: string | null;
};

export type Append = 'written' | 'already' | 'conflict';

export const contentHash = (value: unknown): string =>
	createHash('sha256').update(canonical(value)).digest('hex');

/** Bytes are known by their hash: they are not walked one by one. */
const withoutBytes = (row: object): object =>
	Object.fromEntries(
		Object.entries(row).map(([k, v]) => [
			k,
			Buffer.isBuffer(v) ? createHash('sha256').update(v).digest('hex') : (v as unknown)
		])
	);

/** A row and the table it is for. */
type Row = { [K in AppendedName]: readonly [table: K, row: Own<K>] }[AppendedName];

/** Appends a row. `recordedAt` is for the demo's past only. */
export const append = <K extends AppendedName>(
	t: PracticeTransaction,
	table: K,
	row: Own<K>,
	recordedAt?: Date
): Promise<Append> => appendAll(t, [[table, row] as unknown as Row], recordedAt);

/**
 * Appends rows in one question, a later one may point to one before. One that stands with other content makes it a conflict of all, which the command it is in
 * rolls back. For the same few tables each time: the database keeps a plan for each list of them.
 */
export async function appendAll(
	t: PracticeTransaction,
	rows: readonly Row[],
	recordedAt?: Date
): Promise<Append> {
	const hashed = rows.map(([table, row]) => ({ table, row, hash: contentHash(withoutBytes(row)) }));
	const inserts = hashed.map(({ table, row, hash }) => {
		const values = {
			replaces_id: null,
			voided: false,
			reason: null,
			...row,
			practice_id: t.practiceId,
			written_by: t.memberId,
			content_hash: hash,
			...(recordedAt ? { recorded_at: recordedAt } : {})
		};
		const columns = Object.keys(values).map((c) => sql.ref(c));
		return sql`insert into ${sql.table(table)} (${sql.join(columns)}) values (${sql.join(Object.values(values).map((v) => sql.val(v)))}) on conflict do nothing returning id`;
	});
	const named = inserts.map((insert, i) => sql`${sql.ref(`row${i}`)} as (${insert})`);
	const written = inserts.map((_, i) => sql`select ${sql.lit(i)} as at from ${sql.table(`row${i}`)}`);
	const done = await sql<{
		at: number;
	}>`with ${sql.join(named)} ${sql.join(written, sql` union all `)}`.execute(t.trx);
	const anew = new Set(done.rows.map((r) => r.at));
	for (const [i, row] of hashed.entries()) if (!anew.has(i) && !(await stands(t, row))) return 'conflict';
	return anew.size > 0 ? 'written' : 'already';
}

/** The same row stands already. */
async function stands(
	t: PracticeTransaction,
	{ table, row, hash }: { readonly table: AppendedName; readonly row: object; readonly hash: string }
): Promise<boolean> {
	const { rows } = await sql<{
		content_hash: string;
	}>`select content_hash from ${sql.table(table)} where practice_id = ${t.practiceId} and id = ${(row as { id: string }).id}`.execute(
		t.trx
	);
	return rows[0]?.content_hash === hash;
}
