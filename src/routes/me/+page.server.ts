import { passwordForm } from '#lib/contract/practice-form.ts';
import { contextIn } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { changePassword, endSession, ownSessions } from '#lib/server/http/own-account.ts';
import { beginSecond, confirmSecond, endSecond, hasSecond } from '#lib/server/http/second-factor.ts';
import { refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { roleText } from '#lib/server/usecase/actor.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async (event) => {
	const { actor } = contextIn(event.locals);
	return {
		name: actor.name,
		role: roleText(actor),
		second: await hasSecond(event),
		sessions: await ownSessions(event)
	};
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
	second: async (event) => {
		const form = await formOf(event.request);
		const begun = await beginSecond(event, String(form.get('current') ?? ''));
		return begun === undefined
			? refuseField(form, 'current', 'This is not your password of now.')
			: { begun };
	},
	confirm: async (event) => {
		const form = await formOf(event.request);
		return (await confirmSecond(event, String(form.get('code') ?? '')))
			? { done: 'From now on signing in asks for your second factor too.' }
			: refuseField(form, 'code', 'This is not the code of the moment. Begin again if the picture is gone.');
	},
	without: async (event) => {
		const form = await formOf(event.request);
		return (await endSecond(event, String(form.get('current') ?? '')))
			? { done: 'Signing in asks for your password alone.' }
			: refuseField(form, 'current', 'This is not your password of now.');
	},
	end: async (event) => {
		const form = await formOf(event.request);
		return (await endSession(event, String(form.get('session') ?? '')))
			? { done: 'Ended there.' }
			: refuseField(form, '', 'This session is over already.');
	}
};
