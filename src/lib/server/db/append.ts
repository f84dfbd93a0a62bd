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

/** Appends. `recordedAt` is for the demo's past only. */
export async function append<K extends AppendedName>(
	t: PracticeTransaction,
	table: K,
	row: Own<K>,
	recordedAt?: Date
): Promise<Append> {
	const hash = contentHash(withoutBytes(row));
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
	const columns = Object.keys(values);
	const inserted =
		await sql`insert into ${sql.table(table)} (${sql.join(columns.map((c) => sql.ref(c)))}) values (${sql.join(Object.values(values).map((v) => sql.val(v)))}) on conflict do nothing returning id`.execute(
			t.trx
		);
	if (inserted.rows.length === 1) return 'written';
	const known = await sql<{
		content_hash: string;
	}>`select content_hash from ${sql.table(table)} where practice_id = ${t.practiceId} and id = ${(row as unknown as { id: string }).id}`.execute(
		t.trx
	);
	return known.rows[0]?.content_hash === hash ? 'already' : 'conflict';
}
