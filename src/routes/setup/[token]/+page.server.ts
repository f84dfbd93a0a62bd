import { redirect } from '@sveltejs/kit';
import { foundForm, licenceTrouble, type Role } from '#lib/contract/practice-form.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { found } from '#lib/server/http/join.ts';
import { refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { hashOf } from '#lib/server/http/token.ts';
import { mayFound } from '#lib/server/usecase/memberships.ts';
import { newId } from '#lib/server/usecase/new-id.ts';
import type { Actions, PageServerLoad } from './$types';

const TOO_LATE =
	'This address is used, too old, or there is a practice already. Start the server again for a new one.';

export const load: PageServerLoad = async ({ params }) => ({
	may: await mayFound(hashOf(params.token)),
	ids: [newId(new Date()), newId(new Date())] as const
});

export const actions: Actions = {
	default: async (event) => {
		const form = await formOf(event.request);
		const parsed = foundForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { id, memberId, practice, tz, units, name, email, password, licenceNo, licensedUntil } =
			parsed.data;
		const roles: Role[] = form.get('licensed') === 'on' ? ['physiotherapist', 'owner'] : ['owner'];
		const wrong = licenceTrouble(roles, { licenceNo, licensedUntil });
		if (wrong !== undefined) return refuseField(form, wrong.field, wrong.message);
		const done = await found(
			event,
			{
				...{
					tokenHash: hashOf(event.params.token),
					practiceId: id,
					memberId,
					practice,
					tz,
					units,
					name,
					roles
				},
				licenceNo: licenceNo === '' ? null : licenceNo,
				licensedUntil: licensedUntil === '' ? null : licensedUntil
			},
			{ email, password }
		);
		if (done === 'wrong-password')
			return refuseField(form, 'password', 'This address has an account already, with another password.');
		if (done === 'too-many')
			return refuseField(form, 'password', 'Too many attempts. Wait a minute, then try again.');
		if (done === 'too-late') return refuseField(form, '', TOO_LATE);
		redirect(303, '/practice/people');
	}
};
