import { contextIn } from '#lib/server/http/client-page.ts';
import { orError } from '#lib/server/http/respond.ts';
import { showToday, TODAY_SIZE } from '#lib/server/usecase/show-today.ts';
import type { PageServerLoad } from './$types';

/** Longest part of a name that is looked for. */
const SEARCH = 60;

export const load: PageServerLoad = async ({ locals, url }) => {
	const ctx = contextIn(locals);
	const search = (url.searchParams.get('name') ?? '').replaceAll('\0', '').trim().slice(0, SEARCH);
	const page = Number(url.searchParams.get('page') ?? '1');
	const at = Number.isInteger(page) && page >= 1 && page <= 1000 ? page : 1;
	return {
		...orError(await showToday(ctx, { search, from: (at - 1) * TODAY_SIZE })),
		search,
		page: at,
		pages: TODAY_SIZE,
		today: ctx.today
	};
};
