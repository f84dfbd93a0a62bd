import { json } from '@sveltejs/kit';
import { troubles } from '#lib/server/usecase/is-ready.ts';
import type { RequestHandler } from './$types';

/** Ready is: what is entered now is kept. */
export const GET: RequestHandler = async () => {
	const found = await troubles();
	return json(found.length === 0 ? { ready: true } : { ready: false, because: found }, {
		status: found.length === 0 ? 200 : 503
	});
};
