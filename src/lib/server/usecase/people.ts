/** The people of a practice: who is in it, who is invited, what each may do. By its owner; nobody changes their own membership. */
import { licenceTrouble, type Role } from '#lib/contract/practice-form.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import {
	changeMembership,
	members,
	noteChange,
	openInvitations,
	practiceChanges,
	revokeInvitation,
	writeInvitation,
	type Invitation,
	type Member
} from '../repo/practice-repo.ts';
import { allow, conflict, invalid, refuseFor, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';
import { newId } from './new-id.ts';

/** An invitation is good for a week. @source practice-setting */
export const INVITED_DAYS = 7;
const DAY_MS = 86_400_000;
const CHANGES_SHOWN = 20;

export interface PeopleShown {
	readonly members: readonly (Member & { readonly own: boolean })[];
	readonly invitations: readonly Invitation[];
	readonly changes: readonly { readonly what: string; readonly by: string; readonly at: Date }[];
}

export async function showPeople(ctx: Context): Promise<Outcome<PeopleShown>> {
	const may = allow(ctx.actor, 'manage people');
	if (!may.ok) return may;
	return ok(
		await ctx.inPractice(async (t) => ({
			members: (await members(t)).map((m) => ({ ...m, own: m.id === ctx.actor.memberId })),
			invitations: await openInvitations(t, ctx.now),
			changes: await practiceChanges(t, CHANGES_SHOWN)
		}))
	);
}

interface Rights {
	readonly name: string;
	readonly roles: readonly Role[];
	readonly licenceNo: string;
	readonly licensedUntil: Day | '';
}

const troubleIn = (r: Rights): Outcome<never> | undefined => {
	const wrong = licenceTrouble(r.roles, r);
	return wrong === undefined ? undefined : invalid(wrong.field, wrong.message);
};
const kept = ({ roles, licenceNo, licensedUntil }: Rights) => ({
	roles,
	licenceNo: licenceNo === '' ? null : licenceNo,
	licensedUntil: licensedUntil === '' ? null : licensedUntil
});
const said = (roles: readonly string[]): string => roles.join(', ');

export interface NewInvitation extends Rights {
	readonly id: string;
	readonly email: string;
	/** Of the link that is given to them; the link itself is kept nowhere. */
	readonly tokenHash: string;
}

export const invite = command<NewInvitation, { readonly expiresAt: string }>({
	verb: 'manage people',
	id: (i) => i.id,
	check: (i, { today }) =>
		troubleIn(i) ??
		(i.licensedUntil !== '' && i.licensedUntil < today
			? invalid('licensedUntil', 'This licence has ended already.')
			: undefined),
	run: async (i, { t, ctx, recordedAt }) => {
		if ((await openInvitations(t, ctx.now)).some((o) => o.email === i.email))
			return conflict('This address is invited already; take that invitation back first.');
		const expiresAt = new Date(ctx.now.getTime() + INVITED_DAYS * DAY_MS);
		const { id, email, name, tokenHash } = i;
		await writeInvitation(t, { id, email, name, ...kept(i), expiresAt, tokenHash });
		await noteChange(t, newId(ctx.now), `invited ${name} as ${said(i.roles)}`, recordedAt);
		return ok({ expiresAt: expiresAt.toISOString() });
	}
});

export const takeBackInvitation = command<{ readonly id: string; readonly invitationId: string }, true>({
	verb: 'manage people',
	id: (i) => i.id,
	run: async ({ invitationId }, { t, ctx, recordedAt }) => {
		const open = (await openInvitations(t, ctx.now)).find((i) => i.id === invitationId);
		if (open === undefined || !(await revokeInvitation(t, invitationId, ctx.now)))
			return conflict('This invitation was taken or taken back meanwhile; reload to see who is in.');
		await noteChange(t, newId(ctx.now), `took back the invitation of ${open.name}`, recordedAt);
		return ok(true);
	}
});

export interface MemberChange extends Rights {
	readonly id: string;
	readonly memberId: string;
	readonly ended: boolean;
}

export const changeMember = command<MemberChange, true>({
	verb: 'manage people',
	id: (m) => m.id,
	check: troubleIn,
	run: async (m, { t, ctx, recordedAt }) => {
		const before = (await members(t)).find((x) => x.id === m.memberId);
		if (before === undefined) return conflict('There is no such member here; reload to see who is.');
		const endedAt = m.ended ? (before.endedAt ?? ctx.today) : null;
		const next: Member = { id: m.memberId, name: m.name, ...kept(m), endedAt };
		switch (await changeMembership(t, next)) {
			case 'own':
				return refuseFor('Nobody changes their own membership; another owner does.');
			case 'not-owner':
				return refuseFor('You are no longer an owner of this practice.');
			case 'changed':
				await noteChange(t, newId(ctx.now), whatChanged(before, next), recordedAt);
				return ok(true);
			default:
				return conflict('There is no such member here; reload to see who is.');
		}
	}
});

function whatChanged(before: Member, after: Member): string {
	const licence = (m: Member): string =>
		m.licenceNo === null ? 'no licence' : `licence ${m.licenceNo} to ${m.licensedUntil}`;
	const parts = [
		...(before.name === after.name ? [] : [`name to ${after.name}`]),
		...(said(before.roles) === said(after.roles)
			? []
			: [`roles from ${said(before.roles)} to ${said(after.roles)}`]),
		...(licence(before) === licence(after) ? [] : [`from ${licence(before)} to ${licence(after)}`]),
		...(before.endedAt === after.endedAt
			? []
			: [after.endedAt === null ? 'membership begun again' : 'membership ended'])
	];
	return `${before.name}: ${parts.join('; ') || 'nothing'}`;
}
