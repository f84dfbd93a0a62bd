import { error, json } from '@sveltejs/kit';
import { SOURCE_ROWS } from '../source-rows.ts';
import type { RequestHandler } from './$types';

/** What one source says, for whoever points at its name. */
export const GET: RequestHandler = ({ params }) => {
	const row = SOURCE_ROWS.find((r) => r.key === params.key);
	return row === undefined ? error(404, 'No source is called so.') : json(row);
};
