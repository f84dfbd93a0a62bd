/** Commands as the database knows them: how one begins, and one row for each that was kept, with what it answered. */
import { sql } from 'kysely';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { versionOf, type NumberedRow, type RecordVersion } from './record-version-row.ts';
import { markedOld } from './standing-row.ts';

export interface Receipt {
	readonly hash: string;
	readonly by: string;
	readonly clientId: string | null;
	readonly outcome: unknown;
}

/** A command as it begins: what one of its id was answered; undefined where none was kept. */
export interface Begun {
	readonly before: Receipt | undefined;
}

/** Of a client, where they live and which state their record is in. */
export interface BegunOfClient extends Begun {
	readonly tz: string;
	readonly version: RecordVersion | undefined;
}

interface BegunRow extends NumberedRow {
	tz: string;
	before: Receipt | null;
}

/** Begins a command about a client, who is locked from now on; undefined where there is no such client. */
export async function beginOfClient(
	t: PracticeTransaction,
	clientId: string,
	id: string
): Promise<BegunOfClient | undefined> {
	const { rows } = await sql<{
		begun: BegunRow | null;
	}>`select command_begins(${t.practiceId}, ${clientId}, ${id}) as begun`.execute(t.trx);
	const begun = rows[0]?.begun;
	if (begun == null) return undefined;
	return { before: begun.before ?? undefined, tz: begun.tz, version: versionOf([begun]) };
}

/** Begins a command about the practice: those of one id are taken one after another. */
export async function beginOfPractice(t: PracticeTransaction, id: string): Promise<Begun> {
	await sql`select pg_advisory_xact_lock(hashtextextended(${id}, 7))`.execute(t.trx);
	const row = await t.trx
		.selectFrom('receipt')
		.select(['content_hash', 'written_by', 'client_id', 'outcome'])
		.where('practice_id', '=', t.practiceId)
		.where('id', '=', id)
		.executeTakeFirst();
	if (row === undefined) return { before: undefined };
	return {
		before: { hash: row.content_hash, by: row.written_by, clientId: row.client_id, outcome: row.outcome }
	};
}

export interface NewReceipt {
	readonly id: string;
	readonly verb: string;
	readonly clientId?: string;
	readonly hash: string;
	readonly outcome: unknown;
}

/** A command is kept; what Today keeps of its client is old from now on, in the same question. */
export async function writeReceipt(t: PracticeTransaction, r: NewReceipt, recordedAt?: Date): Promise<void> {
	const receipt = t.trx.insertInto('receipt').values({
		practice_id: t.practiceId,
		id: r.id,
		verb: r.verb,
		client_id: r.clientId ?? null,
		outcome: JSON.stringify(r.outcome ?? null),
		written_by: t.memberId,
		content_hash: r.hash,
		replaces_id: null,
		reason: null,
		...(recordedAt === undefined ? {} : { recorded_at: recordedAt })
	});
	if (r.clientId === undefined) await receipt.execute();
	else await sql`with old as (${markedOld(t.practiceId, r.clientId)}) ${receipt}`.execute(t.trx);
}
