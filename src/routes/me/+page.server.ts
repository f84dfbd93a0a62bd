import { passwordForm } from '#lib/contract/practice-form.ts';
import { contextIn } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { changePassword, endSession, ownSessions } from '#lib/server/http/own-account.ts';
import { refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { roleText } from '#lib/server/usecase/actor.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { actor } = contextIn(event.locals);
	return { name: actor.name, role: roleText(actor), sessions: await ownSessions(event) };
};

export const actions: Actions = {
	password: async (event) => {
		const form = await formOf(event.request);
		const parsed = passwordForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		return (await changePassword(event, parsed.data))
			? { done: 'Changed. Everywhere else you are signed out.' }
			: refuseField(form, 'current', 'This is not your password of now.');
	},
	end: async (event) => {
		const form = await formOf(event.request);
		return (await endSession(event, String(form.get('session') ?? '')))
			? { done: 'Ended there.' }
			: refuseField(form, '', 'This session is over already.');
	}
};
