import { fail } from '@sveltejs/kit';
import { z } from 'zod';
import { text } from '#lib/contract/basics.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { mailLeaves } from '#lib/server/http/mailbox.ts';
import { askReset } from '#lib/server/http/sign-in.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = () => ({ leaves: mailLeaves() });

const address = z.object({
	email: text(200).regex(/^[^\s@]+@[^\s@]+$/, 'An e-mail address, such as name@practice.example.')
});

export const actions: Actions = {
	default: async (event) => {
		const form = await formOf(event.request);
		const parsed = address.safeParse(Object.fromEntries(form));
		if (!parsed.success) return fail(422, { message: parsed.error.issues[0]?.message ?? '' });
		return (await askReset(event, parsed.data.email)) === 'asked'
			? { asked: true }
			: fail(429, { message: 'Too many attempts. Wait a minute, then try again.' });
	}
};
