/** What trainers were given to do for a client, as it stands. */
import { sql } from 'kysely';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { append } from '../db/append.ts';
import { isHead } from '../db/heads.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';

export interface Delegated {
	readonly id: string;
	readonly memberId: string;
	readonly name: string;
	readonly families: readonly string[];
	readonly expires: Day;
	readonly callWhen: string;
}

export async function delegationsOf(t: PracticeTransaction, clientId: string): Promise<readonly Delegated[]> {
	const { rows } = await sql<{
		id: string;
		member_id: string;
		name: string;
		families: string[];
		expires: Day;
		call_when: string;
	}>`select d.id, d.member_id, m.name, d.families, d.expires, d.call_when from delegation d
		join member m on m.practice_id = d.practice_id and m.id = d.member_id
		where d.practice_id = ${t.practiceId} and d.client_id = ${clientId} and ${isHead('delegation', 'd')} order by m.name, d.id`.execute(
		t.trx
	);
	return rows.map((d) => ({
		id: d.id,
		memberId: d.member_id,
		name: d.name,
		families: d.families,
		expires: d.expires,
		callWhen: d.call_when
	}));
}

/** Trainers of the practice on a day. */
export async function trainersOn(
	t: PracticeTransaction,
	today: Day
): Promise<readonly { readonly id: string; readonly name: string }[]> {
	const rows = await t.trx
		.selectFrom('member')
		.select(['id', 'name', 'roles', 'ended_at'])
		.where('practice_id', '=', t.practiceId)
		.orderBy('name')
		.execute();
	return rows
		.filter((m) => m.roles.includes('trainer') && (m.ended_at === null || m.ended_at > today))
		.map(({ id, name }) => ({ id, name }));
}

interface Row extends Omit<Delegated, 'name'> {
	readonly clientId: string;
	readonly replaces: string | null;
	readonly voided: boolean;
	readonly reason: string | null;
}

/** Another delegation takes the place of the one that stands; a second successor is a conflict. */
export const writeDelegation = (t: PracticeTransaction, d: Row, recordedAt?: Date) =>
	append(
		t,
		'delegation',
		{
			id: d.id,
			client_id: d.clientId,
			member_id: d.memberId,
			families: [...d.families],
			expires: d.expires,
			call_when: d.callWhen,
			replaces_id: d.replaces,
			voided: d.voided,
			reason: d.reason
		},
		recordedAt
	);
