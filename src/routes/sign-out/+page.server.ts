import { redirect } from '@sveltejs/kit';
import { signOut } from '#lib/server/http/sign-in.ts';
import type { Actions } from './$types';

export const load = (): never => redirect(303, '/');

export const actions: Actions = {
	default: async (event) => {
		await signOut(event);
		redirect(303, '/sign-in?left');
	}
};
