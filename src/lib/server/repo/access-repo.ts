/** Who looked at what: readings of a record, signings in, looks that were refused. */
import { sql } from 'kysely';
import type { PracticeTransaction } from '../db/in-practice.ts';

export interface Look {
	readonly at: Date;
	readonly by: string;
	/** The client, where it was a record that was looked at. */
	readonly client: string | null;
	readonly what: string;
	readonly kind: 'record' | 'sign-in' | 'refused';
}

/** The latest looks, newest first: at one client's record, or all there were. Times of a record are when it was read. */
export async function looks(
	t: PracticeTransaction,
	of: { readonly clientId?: string; readonly most: number; readonly before?: Date }
): Promise<readonly Look[]> {
	const before = of.before ?? null;
	const mine = sql`x.practice_id = ${t.practiceId}`;
	const record = sql`select x.recorded_at as at, m.name as by, p.name as client, x.what, 'record' as kind from access_log x
		join member m on m.practice_id = x.practice_id and m.id = x.written_by
		join person p on p.practice_id = x.practice_id and p.client_id = x.client_id
		where ${mine} ${of.clientId === undefined ? sql`` : sql`and x.client_id = ${of.clientId}`}
		and (${before}::timestamptz is null or x.recorded_at < ${before}) order by x.recorded_at desc limit ${of.most}`;
	const others =
		of.clientId === undefined
			? sql` union all (select x.at, m.name, null, x.what, 'sign-in' from sign_in x
				join member m on m.practice_id = x.practice_id and m.id = x.member_id
				where ${mine} and (${before}::timestamptz is null or x.at < ${before}) order by x.at desc limit ${of.most})
			union all (select x.at, m.name, null, x.asked || ': ' || x.why, 'refused' from refused_look x
				join member m on m.practice_id = x.practice_id and m.id = x.member_id
				where ${mine} and (${before}::timestamptz is null or x.at < ${before}) order by x.at desc limit ${of.most})`
			: sql``;
	const { rows } =
		await sql<Look>`select * from ((${record})${others}) a order by at desc limit ${of.most}`.execute(t.trx);
	return rows;
}

/** A look that was refused is written down, with what was asked for and why not. */
export const noteRefused = (t: PracticeTransaction, id: string, asked: string, why: string) =>
	t.trx
		.insertInto('refused_look')
		.values({ practice_id: t.practiceId, id, member_id: t.memberId, asked, why })
		.execute();
