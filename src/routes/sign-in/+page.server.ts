import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { text } from '#lib/contract/basics.ts';
import { signIn } from '#lib/server/http/sign-in.ts';
import { takesPasskeys } from '#lib/server/http/passkey.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { ownPath, returnTo } from '#lib/server/http/return-to.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, url }) => {
	if (locals.context !== undefined) redirect(303, ownPath(url.searchParams.get('to')));
	const { searchParams: said } = url;
	return { kept: said.has('kept'), left: said.has('left'), takesPasskeys: takesPasskeys(url) };
};

const credentials = z.object({
	email: text(200).min(3, 'Give your e-mail address.'),
	password: z.string().min(1, 'Give your password.').max(200)
});

export const actions: Actions = {
	default: async (event) => {
		const form = await formOf(event.request);
		const given = form.get('email');
		const email = typeof given === 'string' ? given.slice(0, 200) : '';
		const parsed = credentials.safeParse(Object.fromEntries(form));
		if (!parsed.success)
			return fail(422, { message: parsed.error.issues[0]?.message ?? 'Give e-mail and password.', email });
		const answer = await signIn(event, parsed.data);
		if (answer === 'too-many')
			return fail(429, { message: 'Too many attempts. Wait a minute, then try again.', email });
		if (answer === 'second') redirect(303, `/sign-in/second${event.url.search}`);
		if (answer === 'wrong') return fail(401, { message: 'E-mail and password do not match.', email });
		redirect(303, returnTo(event.url));
	}
};
