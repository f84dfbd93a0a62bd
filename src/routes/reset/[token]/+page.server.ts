import { resetForm } from '#lib/contract/practice-form.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { resetPassword } from '#lib/server/http/sign-in.ts';
import type { Actions } from './$types';

export const actions: Actions = {
	default: async (event) => {
		const form = await formOf(event.request);
		const parsed = resetForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await resetPassword(event, event.params.token, parsed.data.password);
		if (done === 'set') return { done: 'Set. Everywhere you were signed in you are signed out.' };
		return refuseField(
			form,
			'',
			done === 'too-late'
				? 'This address was used, or is older than 30 minutes. Ask for another letter.'
				: 'Too many attempts. Wait a minute, then try again.'
		);
	}
};
