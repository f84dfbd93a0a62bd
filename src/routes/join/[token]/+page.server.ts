import { redirect } from '@sveltejs/kit';
import { joinForm } from '#lib/contract/practice-form.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { invitedBy, join } from '#lib/server/http/join.ts';
import { refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { hashOf } from '#lib/server/http/token.ts';
import { newId } from '#lib/server/usecase/new-id.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ params }) => ({
	invited: (await invitedBy(hashOf(params.token))) ?? null,
	memberId: newId(new Date())
});

export const actions: Actions = {
	default: async (event) => {
		const form = await formOf(event.request);
		const hash = hashOf(event.params.token);
		const invited = await invitedBy(hash);
		// Who has an account types its password once.
		if (invited?.known === true) form.set('again', String(form.get('password') ?? ''));
		const parsed = joinForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { memberId, password } = parsed.data;
		const done = await join(event, hash, memberId, password);
		if (done === 'wrong-password')
			return refuseField(form, 'password', 'This is not the password of your account. Nothing was changed.');
		if (done === 'too-many')
			return refuseField(form, 'password', 'Too many attempts. Wait a minute, then try again.');
		if (done === 'second-factor')
			return refuseField(
				form,
				'password',
				'Your account has a second factor: sign in first, then open this address again.'
			);
		if (done === 'too-late')
			return refuseField(
				form,
				'',
				'This invitation was used, taken back, or is older than a week, or you are of this practice already. Ask whoever owns it for another.'
			);
		redirect(303, '/');
	}
};
