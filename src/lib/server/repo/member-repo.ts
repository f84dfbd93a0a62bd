/** Members of a practice, as far as rules ask about them. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';

/** How many licensed users the practice has on a day. */
export async function licensedMembers(t: PracticeTransaction, today: Day): Promise<number> {
	const rows = await t.trx
		.selectFrom('member')
		.select(['roles', 'licensed_until', 'ended_at'])
		.where('practice_id', '=', t.practiceId)
		.execute();
	return rows.filter(
		(m) =>
			m.roles.includes('physiotherapist') &&
			m.licensed_until !== null &&
			m.licensed_until >= today &&
			(m.ended_at === null || m.ended_at > today)
	).length;
}

/** The licence number of whoever acts; null of one without. */
export async function licenceOf(t: PracticeTransaction): Promise<string | null> {
	const row = await t.trx
		.selectFrom('member')
		.select('licence_no')
		.where('practice_id', '=', t.practiceId)
		.where('id', '=', t.memberId)
		.executeTakeFirst();
	return row?.licence_no ?? null;
}
