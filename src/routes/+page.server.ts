import { contextIn } from '#lib/server/http/client-page.ts';
import { orError } from '#lib/server/http/respond.ts';
import { showToday } from '#lib/server/usecase/show-today.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const ctx = contextIn(locals);
	return { rows: orError(await showToday(ctx)), today: ctx.today };
};
