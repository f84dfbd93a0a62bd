import { fail, redirect } from '@sveltejs/kit';
import { z } from 'zod';
import { ADDRESS_HEADER, authService } from '#lib/server/auth/auth.ts';
import { text } from '#lib/contract/basics.ts';
import type { Actions, PageServerLoad } from './$types';

/** Only a path of our own may be returned to. */
const safe = (to: string | null): string => (to !== null && /^\/(?!\/)[\w\-/.]*$/.test(to) ? to : '/');

export const load: PageServerLoad = ({ locals, url }) => {
	if (locals.context !== undefined) redirect(303, safe(url.searchParams.get('to')));
	return { kept: url.searchParams.has('kept') };
};

const credentials = z.object({ email: text(200).min(3, 'Give your e-mail address.'), password: z.string().min(1, 'Give your password.').max(200) });

export const actions: Actions = {
	default: async ({ request, url, getClientAddress, cookies }) => {
		const parsed = credentials.safeParse(Object.fromEntries(await request.formData()));
		if (!parsed.success) return fail(422, { message: parsed.error.issues[0]?.message ?? 'Give e-mail and password.', email: '' });
		const { email } = parsed.data;
		// Through the handler, not the function: only the handler counts attempts.
		const answer = await authService().auth.handler(
			new Request(`${url.origin}/api/auth/sign-in/email`, {
				method: 'POST',
				headers: { 'content-type': 'application/json', origin: url.origin, [ADDRESS_HEADER]: getClientAddress() },
				body: JSON.stringify(parsed.data)
			})
		);
		if (answer.status === 429) return fail(429, { message: 'Too many attempts. Wait a minute, then try again.', email });
		if (!answer.ok) return fail(401, { message: 'E-mail and password do not match.', email });
		for (const line of answer.headers.getSetCookie()) {
			const [pair, ...attributes] = line.split('; ');
			const at = (pair as string).indexOf('=');
			const maxAge = attributes.find((a) => a.toLowerCase().startsWith('max-age='));
			cookies.set((pair as string).slice(0, at), decodeURIComponent((pair as string).slice(at + 1)), { path: '/', httpOnly: true, sameSite: 'lax', secure: url.protocol === 'https:', ...(maxAge ? { maxAge: Number(maxAge.split('=')[1]) } : {}) });
		}
		redirect(303, safe(url.searchParams.get('to')) + (url.searchParams.has('kept') ? '?kept=1' : ''));
	}
};
