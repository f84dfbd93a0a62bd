import { redirect } from '@sveltejs/kit';
import { authService } from '#lib/server/auth/auth.ts';
import type { Actions } from './$types';

export const load = (): never => redirect(303, '/');

export const actions: Actions = {
	default: async ({ request, cookies }) => {
		await authService().auth.api.signOut({ headers: request.headers }).catch(() => undefined);
		for (const { name } of cookies.getAll()) if (name.startsWith('better-auth')) cookies.delete(name, { path: '/' });
		redirect(303, '/sign-in');
	}
};
