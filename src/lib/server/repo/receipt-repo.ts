/** Receipts of commands: one row for each that was kept, with what it answered. */
import { sql } from 'kysely';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { markedOld } from './standing-row.ts';

export interface Receipt {
	readonly hash: string;
	readonly by: string;
	readonly clientId: string | null;
	readonly outcome: unknown;
}

/** What a command with this id was answered; undefined where none was kept. */
export async function receiptOf(t: PracticeTransaction, id: string): Promise<Receipt | undefined> {
	const row = await t.trx
		.selectFrom('receipt')
		.select(['content_hash', 'written_by', 'client_id', 'outcome'])
		.where('practice_id', '=', t.practiceId)
		.where('id', '=', id)
		.executeTakeFirst();
	return row === undefined
		? undefined
		: { hash: row.content_hash, by: row.written_by, clientId: row.client_id, outcome: row.outcome };
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

/** Commands that lock no client are taken one after another by their id. */
export async function lockId(t: PracticeTransaction, id: string): Promise<void> {
	await sql`select pg_advisory_xact_lock(hashtextextended(${id}, 7))`.execute(t.trx);
}
