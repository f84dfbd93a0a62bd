import { fail, redirect } from '@sveltejs/kit';
import { formOf } from '#lib/server/http/form-of.ts';
import { ownPath, returnTo } from '#lib/server/http/return-to.ts';
import { signInSecond } from '#lib/server/http/sign-in.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, url }) => {
	if (locals.context !== undefined) redirect(303, ownPath(url.searchParams.get('to')));
};

const LONGEST_CODE = 40;
const SAID = {
	wrong:
		'This is not the code of the moment. Wait for the next one, and see that the clock of the phone is right.',
	over: 'This took too long, or too many codes were wrong: give your password again.',
	'too-many': 'Too many attempts. Wait a minute, then try again.'
} as const;
const STATUS = { wrong: 401, over: 401, 'too-many': 429 } as const;

export const actions: Actions = {
	default: async (event) => {
		const form = await formOf(event.request);
		const code = String(form.get('code') ?? '').slice(0, LONGEST_CODE);
		if (code.trim() === '') return fail(422, { message: 'Type the code that the phone shows.', over: false });
		const answer = await signInSecond(event, code);
		if (answer !== 'in') return fail(STATUS[answer], { message: SAID[answer], over: answer === 'over' });
		redirect(303, returnTo(event.url));
	}
};
