/** Signed decisions with all they were made from. */
import { sql, type RawBuilder } from 'kysely';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { DecideInput } from '#lib/core/decision/input.ts';
import type { Trace } from '#lib/core/decision/trace.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { ofClient, type Whose } from '../db/heads.ts';

export interface Versions {
	readonly engine: string;
	readonly catalogue: string;
	readonly policy: string;
	readonly schema: string;
}

export interface Outcome {
	readonly prescriptionId: string | null;
	readonly text: string;
}

export interface SignedDecision {
	readonly id: string;
	readonly clientId: string;
	readonly exerciseId: string;
	readonly day: Day;
	readonly basedOn: string;
	readonly hash: string;
	readonly inputs: DecideInput;
	readonly versions: Versions;
	readonly proposal: Trace;
	readonly answer: 'accepted' | 'altered' | 'overridden' | 'undone';
	readonly outcome: Outcome;
	readonly reason: string | null;
	readonly by: string;
	readonly byId: string;
	readonly undone: boolean;
	/** A session, morning, range, test, arrival or complaint it may have rested on was corrected or taken out afterwards. */
	readonly recordChanged: boolean;
	readonly recordedAt: Date;
}

interface Row {
	id: string;
	client_id: string;
	exercise_id: string;
	local_day: string;
	based_on: string;
	inputs_hash: string;
	inputs: DecideInput;
	versions: Versions;
	proposal: Trace;
	answer: SignedDecision['answer'];
	outcome: Outcome;
	reason: string | null;
	member: string | null;
	written_by: string;
	undone: boolean;
	record_changed: boolean;
	recorded_at: Date;
}

/**
 * What a slip rests on, by table: sessions of its exercise, everything else of its client. A place that is asked about again is no
 * correction, nor is a day that is opened.
 */
const CHANGES = [
	['exercise_log', 'exercise_id', 'corrected'],
	['checkin', 'client_id', 'corrected'],
	['measurement', 'client_id', 'corrected'],
	['test_result', 'client_id', 'corrected'],
	['complaint', 'client_id', 'corrected'],
	['arrival', 'client_id', 'taken out'],
	['repeated_movement', 'client_id', 'taken out']
] as const;

/** Was something that was there when a decision was signed put right or taken out since? */
const changedSince = ([table, by, how]: (typeof CHANGES)[number]): RawBuilder<boolean> =>
	sql<boolean>`exists (select 1 from ${sql.table(table)} v join ${sql.table(table)} o on o.practice_id = v.practice_id and o.id = v.replaces_id
		where v.practice_id = d.practice_id and ${sql.ref(`v.${by}`)} = ${sql.ref(`d.${by}`)} and o.recorded_at <= d.recorded_at and v.recorded_at > d.recorded_at
			and (v.voided or ${how === 'corrected' ? sql`v.reason is distinct from 'asked again'` : sql`false`}))`;

/** Newest first; rows that only record an undoing are folded into what they undid. */
export async function decisions(t: PracticeTransaction, whose?: Whose): Promise<readonly SignedDecision[]> {
	const { rows } = await sql<Row>`
		select d.id, d.client_id, d.exercise_id, d.local_day, d.based_on, d.inputs_hash, d.inputs, d.versions, d.proposal, d.answer, d.outcome, d.reason, d.written_by, m.name as member, d.recorded_at,
			exists (select 1 from decision u where u.practice_id = d.practice_id and u.replaces_id = d.id and u.answer = 'undone') as undone,
			(${sql.join(CHANGES.map(changedSince), sql` or `)}) as record_changed
		from decision d left join member m on m.practice_id = d.practice_id and m.id = d.written_by
		where d.answer <> 'undone' and ${ofClient('d', whose)} order by d.local_day desc, d.recorded_at desc`.execute(
		t.trx
	);
	return rows.map((r) => ({
		id: r.id,
		clientId: r.client_id,
		exerciseId: r.exercise_id,
		day: r.local_day,
		basedOn: r.based_on,
		hash: r.inputs_hash,
		inputs: r.inputs,
		versions: r.versions,
		proposal: r.proposal,
		answer: r.answer,
		outcome: r.outcome,
		reason: r.reason,
		by: r.member ?? 'unknown',
		byId: r.written_by,
		undone: r.undone,
		recordChanged: r.record_changed,
		recordedAt: r.recorded_at
	}));
}

/** Only what says which slips were answered: the newest standing answer of each exercise. */
export async function answeredSlips(
	t: PracticeTransaction,
	whose?: Whose
): Promise<ReadonlyMap<string, { readonly hash: string; readonly by: string }>> {
	const { rows } = await sql<{ exercise_id: string; inputs_hash: string; member: string | null }>`
		select distinct on (d.exercise_id) d.exercise_id, d.inputs_hash, m.name as member
		from decision d left join member m on m.practice_id = d.practice_id and m.id = d.written_by
		where d.answer <> 'undone' and not exists (select 1 from decision u where u.practice_id = d.practice_id and u.replaces_id = d.id) and ${ofClient('d', whose)}
		order by d.exercise_id, d.recorded_at desc`.execute(t.trx);
	return new Map(rows.map((r) => [r.exercise_id, { hash: r.inputs_hash, by: r.member ?? 'unknown' }]));
}
