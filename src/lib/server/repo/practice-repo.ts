/** The practice itself: its settings, its people, its invitations, its racks; and what was changed of them, by whom. */
import { sql } from 'kysely';
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { RackKind, RackUnit } from '#lib/core/dose/rack-kind.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';

export interface PracticeSettings {
	readonly name: string;
	readonly tz: string;
	readonly units: string;
	readonly emergency: string;
	readonly policy: string;
	readonly technique: string | null;
	readonly emergencyWords: string;
	/** 0 is Sunday, 1 Monday. */
	readonly weekStart: number;
	readonly dateOrder: string;
	/** Weeks a screening and a measured range hold; null as the client's policy says. */
	readonly screeningWeeks: number | null;
	readonly retestWeeks: number | null;
	readonly brace: string;
	readonly trainerSigns: string;
	/** Years a record is kept after the last work on it, before it may be erased. */
	readonly retentionYears: number;
	/** Hours, 0 to 23, in which nothing leaves for a client by itself. */
	readonly quietFrom: number;
	readonly quietTo: number;
}

export async function practiceSettings(t: PracticeTransaction): Promise<PracticeSettings> {
	const p = await t.trx
		.selectFrom('practice')
		.selectAll()
		.where('id', '=', t.practiceId)
		.executeTakeFirstOrThrow();
	return {
		name: p.name,
		tz: p.tz,
		units: p.units,
		emergency: p.emergency,
		policy: p.default_policy,
		technique: p.default_technique,
		emergencyWords: p.emergency_words,
		weekStart: p.week_start,
		dateOrder: p.date_order,
		screeningWeeks: p.screening_weeks,
		retestWeeks: p.retest_weeks,
		brace: p.default_brace,
		trainerSigns: p.trainer_signs,
		retentionYears: p.retention_years,
		quietFrom: p.quiet_from,
		quietTo: p.quiet_to
	};
}

export const setPractice = (t: PracticeTransaction, s: PracticeSettings) =>
	t.trx
		.updateTable('practice')
		.set({
			name: s.name,
			tz: s.tz,
			units: s.units,
			emergency: s.emergency,
			default_policy: s.policy,
			default_technique: s.technique,
			emergency_words: s.emergencyWords,
			week_start: s.weekStart,
			date_order: s.dateOrder,
			screening_weeks: s.screeningWeeks,
			retest_weeks: s.retestWeeks,
			default_brace: s.brace,
			trainer_signs: s.trainerSigns,
			retention_years: s.retentionYears,
			quiet_from: s.quietFrom,
			quiet_to: s.quietTo
		})
		.where('id', '=', t.practiceId)
		.execute();

export interface Member {
	readonly id: string;
	readonly name: string;
	readonly roles: readonly string[];
	readonly licenceNo: string | null;
	readonly licensedUntil: Day | null;
	readonly endedAt: Day | null;
}

export async function members(t: PracticeTransaction): Promise<readonly Member[]> {
	const rows = await t.trx
		.selectFrom('member')
		.selectAll()
		.where('practice_id', '=', t.practiceId)
		.orderBy('name')
		.orderBy('id')
		.execute();
	return rows.map((m) => ({
		id: m.id,
		name: m.name,
		roles: m.roles,
		licenceNo: m.licence_no,
		licensedUntil: m.licensed_until,
		endedAt: m.ended_at
	}));
}

/** Through the one door there is: by an owner, never of one's own membership. */
export async function changeMembership(t: PracticeTransaction, m: Member): Promise<string> {
	const { rows } = await sql<{
		answer: string;
	}>`select change_member(${t.memberId}::uuid, ${m.id}::uuid, ${m.name},
		${[...m.roles]}::text[], ${m.licenceNo}, ${m.licensedUntil}::date, ${m.endedAt}::date) as answer`.execute(
		t.trx
	);
	return rows[0]?.answer ?? 'unknown';
}

export interface Invitation {
	readonly id: string;
	readonly email: string;
	readonly name: string;
	readonly roles: readonly string[];
	readonly licenceNo: string | null;
	readonly licensedUntil: Day | null;
	readonly expiresAt: Date;
}

/** Invitations that can still be taken. */
export async function openInvitations(t: PracticeTransaction, now: Date): Promise<readonly Invitation[]> {
	const rows = await t.trx
		.selectFrom('invitation')
		.selectAll()
		.where('practice_id', '=', t.practiceId)
		.where('used_at', 'is', null)
		.where('revoked_at', 'is', null)
		.where('expires_at', '>', now)
		.orderBy('expires_at', 'desc')
		.execute();
	return rows.map((i) => ({
		id: i.id,
		email: i.email,
		name: i.name,
		roles: i.roles,
		licenceNo: i.licence_no,
		licensedUntil: i.licensed_until,
		expiresAt: i.expires_at
	}));
}

export const writeInvitation = (t: PracticeTransaction, i: Invitation & { readonly tokenHash: string }) =>
	t.trx
		.insertInto('invitation')
		.values({
			practice_id: t.practiceId,
			id: i.id,
			email: i.email,
			name: i.name,
			roles: [...i.roles],
			licence_no: i.licenceNo,
			licensed_until: i.licensedUntil,
			token_hash: i.tokenHash,
			expires_at: i.expiresAt,
			invited_by: t.memberId,
			used_at: null,
			revoked_at: null
		})
		.execute();

/** False where it was taken, taken back or never made. */
export async function revokeInvitation(t: PracticeTransaction, id: string, now: Date): Promise<boolean> {
	const done = await t.trx
		.updateTable('invitation')
		.set({ revoked_at: now })
		.where('practice_id', '=', t.practiceId)
		.where('id', '=', id)
		.where('used_at', 'is', null)
		.where('revoked_at', 'is', null)
		.executeTakeFirst();
	return done.numUpdatedRows > 0n;
}

export interface RackItemKept {
	readonly id: string;
	readonly kind: RackKind;
	readonly label: string;
	readonly value: number;
	readonly unit: RackUnit;
	readonly count: number;
	readonly room: string;
	readonly outOfOrder: boolean;
}

export async function rackItems(t: PracticeTransaction): Promise<readonly RackItemKept[]> {
	const rows = await t.trx
		.selectFrom('equipment')
		.selectAll()
		.where('practice_id', '=', t.practiceId)
		.orderBy('room')
		.orderBy('kind')
		.orderBy('mm')
		.orderBy('g')
		.orderBy('id')
		.execute();
	return rows.map((e) => ({
		id: e.id,
		kind: e.kind as RackKind,
		label: e.label,
		value: e.value,
		unit: e.unit as RackUnit,
		count: e.count,
		room: e.room ?? '',
		outOfOrder: e.out_of_order ?? false
	}));
}

/** One item as it is now; another of the same id is that one, changed. */
export async function keepItem(
	t: PracticeTransaction,
	{ outOfOrder, ...i }: RackItemKept & { readonly mm: number | null; readonly g: number | null }
): Promise<void> {
	const row = { ...i, out_of_order: outOfOrder };
	await t.trx
		.insertInto('equipment')
		.values({ practice_id: t.practiceId, ...row })
		.onConflict((on) => on.columns(['practice_id', 'id']).doUpdateSet(row))
		.execute();
}

/** What was changed, in words, by whom and when. */
export const noteChange = (t: PracticeTransaction, id: string, what: string, recordedAt?: Date) =>
	append(t, 'practice_change', { id, what }, recordedAt);

export async function practiceChanges(
	t: PracticeTransaction,
	most: number
): Promise<readonly { readonly what: string; readonly by: string; readonly at: Date }[]> {
	const { rows } = await sql<{ what: string; by: string; at: Date }>`
		select c.what, coalesce(m.name, 'unknown') as by, c.recorded_at as at
		from practice_change c left join member m on m.practice_id = c.practice_id and m.id = c.written_by
		where c.practice_id = ${t.practiceId} order by c.recorded_at desc, c.id limit ${most}`.execute(t.trx);
	return rows;
}
