import { redirect } from '@sveltejs/kit';
import { todayAsked } from '#lib/contract/today-form.ts';
import { allow } from '#lib/server/usecase/actor.ts';
import { contextIn } from '#lib/server/http/client-page.ts';
import { orError } from '#lib/server/http/respond.ts';
import { showToday, TODAY_SIZE } from '#lib/server/usecase/show-today.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const ctx = contextIn(locals);
	// Who only owns the practice sees no clients: their work is the practice.
	if (ctx.actor.owner && !allow(ctx.actor, 'show today').ok) redirect(303, '/practice/people');
	const { page, ...chosen } = todayAsked(url.searchParams);
	return {
		...orError(await showToday(ctx, { ...chosen, from: (page - 1) * TODAY_SIZE })),
		...chosen,
		page,
		pages: TODAY_SIZE,
		today: ctx.today
	};
};
