import { inviteForm, memberForm, rolesIn } from '#lib/contract/practice-form.ts';
import { uuid } from '#lib/contract/basics.ts';
import { contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { send } from '#lib/server/http/mailbox.ts';
import { orError, refusal, refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { hashOf, tokenFor } from '#lib/server/http/token.ts';
import type { Context } from '#lib/server/usecase/actor.ts';
import { changeMember, invite, showPeople, takeBackInvitation } from '#lib/server/usecase/people.ts';
import type { Actions, PageServerLoad } from './$types';

/** The letter that goes with an invitation; the address is shown to whoever invites as well. */
async function sendInvitation(
	{ actor }: Context,
	{ name, email }: { readonly name: string; readonly email: string },
	link: string
): Promise<boolean> {
	const text = `${name},\n\n${actor.name} invites you to ${actor.practice}. Once, within a week:\n${link}\n`;
	return send({ to: email, subject: `${actor.practice} invites you`, text, secret: link });
}

export const load: PageServerLoad = async ({ locals }) => {
	const ctx = contextIn(locals);
	const people = orError(await showPeople(ctx));
	return {
		...people,
		today: ctx.today,
		inviteId: formIds(ctx, 1)[0] as string,
		ids: formIds(ctx, people.members.length + people.invitations.length)
	};
};

export const actions: Actions = {
	invite: async ({ request, locals, url }) => {
		const form = await formOf(request);
		const parsed = inviteForm.safeParse(Object.fromEntries(form));
		const roles = rolesIn(form);
		if (!parsed.success) return refuseShape(form, parsed.error);
		const token = tokenFor(parsed.data.id);
		const done = await invite(contextIn(locals), { ...parsed.data, roles, tokenHash: hashOf(token) });
		const left =
			done.ok && (await sendInvitation(contextIn(locals), parsed.data, `${url.origin}/join/${token}`));
		return done.ok
			? {
					done: `Invited. Give this address to ${parsed.data.name}; it is good once, until ${done.value.expiresAt.slice(0, 10)}. ${left ? 'A letter with it is on its way.' : 'No letter left: see Mail.'}`,
					link: `${url.origin}/join/${token}`
				}
			: refusal(form, done.refusal);
	},
	'take-back': async ({ request, locals }) => {
		const form = await formOf(request);
		const [id, invitationId] = ['id', 'invitationId'].map((k) => uuid.safeParse(form.get(k)).data);
		if (id === undefined || invitationId === undefined)
			return refuseField(form, '', 'The form has lost its ids; reload the page.');
		const done = await takeBackInvitation(contextIn(locals), { id, invitationId });
		return done.ok ? { done: 'Taken back: its address no longer opens.' } : refusal(form, done.refusal);
	},
	member: async ({ request, locals }) => {
		const form = await formOf(request);
		const parsed = memberForm.safeParse({ ended: '', ...Object.fromEntries(form) });
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { ended, ...m } = parsed.data;
		const roles = rolesIn(form);
		const done = await changeMember(contextIn(locals), { ...m, roles, ended: ended === 'on' });
		return done.ok
			? { done: `Kept: ${m.name}. It holds from their next click.` }
			: refusal(form, done.refusal);
	}
};
