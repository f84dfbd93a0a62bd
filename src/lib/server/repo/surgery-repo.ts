/** Operations and their protocols as they stand: chains of appended rows, known by the first of the chain. */
import { sql } from 'kysely';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Phase } from '#lib/core/client/protocol.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { isHead } from '../db/heads.ts';

export interface SurgeryRow {
	readonly id: string;
	/** First row of its chain; its protocol hangs on it. */
	readonly root: string;
	readonly client_id: string;
	readonly region: string;
	readonly local_day: Day;
	readonly limits_entered: boolean;
	readonly operation: string | null;
	readonly no_limits_by: string | null;
	readonly entered_on: Day | null;
}

/** The standing row of an operation, found by any row of its chain. */
export async function standingSurgery(
	t: PracticeTransaction,
	clientId: string,
	id: string
): Promise<SurgeryRow | undefined> {
	const { rows } = await sql<SurgeryRow>`
		with recursive chain as (
			select s.id, s.replaces_id, s.id as root from surgery s where s.practice_id = ${t.practiceId} and s.client_id = ${clientId} and s.replaces_id is null
			union all
			select s.id, s.replaces_id, c.root from surgery s join chain c on s.practice_id = ${t.practiceId} and s.replaces_id = c.id)
		select s.id, c.root, s.client_id, s.region, s.local_day, s.limits_entered, s.operation, s.no_limits_by, s.entered_on
		from chain c join surgery s on s.practice_id = ${t.practiceId} and s.id = c.id
		where ${isHead('surgery', 's')} and c.root = (select c2.root from chain c2 where c2.id = ${id})`.execute(
		t.trx
	);
	return rows[0];
}

export interface ProtocolRow {
	readonly id: string;
	readonly surgery_id: string;
	readonly source: string;
	readonly review_on: Day | null;
	readonly phases: readonly Phase[];
}

/** The standing protocol of an operation, by the first row of its chain. */
export async function standingProtocol(
	t: PracticeTransaction,
	clientId: string,
	root: string
): Promise<ProtocolRow | undefined> {
	const { rows } = await sql<ProtocolRow>`
		select p.id, p.surgery_id, p.source, p.review_on, p.phases from protocol p
		where p.practice_id = ${t.practiceId} and p.client_id = ${clientId} and p.surgery_id = ${root} and ${isHead('protocol', 'p')}`.execute(
		t.trx
	);
	return rows[0];
}

/** A limit of a client by its id, as it was entered. */
export const limitRow = (t: PracticeTransaction, clientId: string, id: string) =>
	t.trx
		.selectFrom('protocol_limit')
		.selectAll()
		.where('id', '=', id)
		.where('client_id', '=', clientId)
		.executeTakeFirst();
