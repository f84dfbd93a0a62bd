/** What is asked before anybody is of a practice: may one be founded, what does an invitation say, whose practices are these. By narrow doors only. */
import { database } from '../db/connect.ts';

export interface Membership {
	readonly practiceId: string;
	readonly memberId: string;
	readonly name: string;
	readonly roles: readonly string[];
	readonly licensedUntil: string | null;
	readonly tz: string;
	readonly units: string;
	readonly practice: string;
	readonly emergency: string;
	readonly emergencyWords: string;
	readonly weekStart: number;
	readonly dateOrder: string;
}

/** The practices somebody is of today, by name. */
export async function membershipsOf(userId: string): Promise<readonly Membership[]> {
	const { rows } = await database().pool.query<{
		practice_id: string;
		member_id: string;
		name: string;
		roles: string[];
		licensed_until: string | null;
		tz: string;
		units: string;
		practice: string;
		emergency: string;
		emergency_words: string;
		week_start: number;
		date_order: string;
	}>('select * from memberships_of($1)', [userId]);
	return rows.map((m) => ({
		practiceId: m.practice_id,
		memberId: m.member_id,
		name: m.name,
		roles: m.roles,
		licensedUntil: m.licensed_until,
		tz: m.tz,
		units: m.units,
		practice: m.practice,
		emergency: m.emergency,
		emergencyWords: m.emergency_words,
		weekStart: m.week_start,
		dateOrder: m.date_order
	}));
}

/** Is there no practice yet, and is this the address that founds one? */
export async function mayFound(tokenHash: string): Promise<boolean> {
	const { rows } = await database().pool.query<{ may: boolean }>('select may_found($1) as may', [tokenHash]);
	return rows[0]?.may === true;
}

export interface Founding {
	readonly tokenHash: string;
	readonly practiceId: string;
	readonly practice: string;
	readonly tz: string;
	readonly units: string;
	readonly memberId: string;
	readonly userId: string;
	readonly name: string;
	readonly roles: readonly string[];
	readonly licenceNo: string | null;
	readonly licensedUntil: string | null;
}

/** Founds the first practice, once. */
export async function foundPractice(f: Founding): Promise<boolean> {
	const { rows } = await database().pool.query<{ done: boolean }>(
		'select found_practice($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) as done',
		[
			f.tokenHash,
			f.practiceId,
			f.practice,
			f.tz,
			f.units,
			f.memberId,
			f.userId,
			f.name,
			f.roles,
			f.licenceNo,
			f.licensedUntil
		]
	);
	return rows[0]?.done === true;
}

export interface Invited {
	readonly practice: string;
	readonly email: string;
	readonly name: string;
	readonly roles: readonly string[];
}

/** What an invitation says; undefined where it was used, taken back, is too old or never was. */
export async function invitationOf(tokenHash: string): Promise<Invited | undefined> {
	const { rows } = await database().pool.query<Invited>('select * from invitation_of($1)', [tokenHash]);
	return rows[0];
}

/** Takes an invitation, once; the practice joined, or undefined. */
export async function acceptInvitation(
	tokenHash: string,
	memberId: string,
	userId: string
): Promise<string | undefined> {
	const { rows } = await database().pool.query<{ practice: string | null }>(
		'select accept_invitation($1, $2, $3) as practice',
		[tokenHash, memberId, userId]
	);
	return rows[0]?.practice ?? undefined;
}
