import { redirect } from '@sveltejs/kit';
import { formOf } from '#lib/server/http/form-of.ts';
import type { RequestHandler } from './$types';

const YEAR_SECONDS = 31_536_000;

/** Which of one's practices one is in, until another is chosen; one that is not one's own changes nothing. */
export const POST: RequestHandler = async ({ request, locals, cookies, url }) => {
	const wanted = (await formOf(request)).get('practice');
	const found = locals.practices?.find((p) => p.id === wanted);
	if (found !== undefined)
		cookies.set('practice', found.id, {
			path: '/',
			httpOnly: true,
			sameSite: 'lax',
			secure: url.protocol === 'https:',
			maxAge: YEAR_SECONDS
		});
	redirect(303, '/');
};
