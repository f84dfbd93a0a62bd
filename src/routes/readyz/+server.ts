/** The database answers. */
import { database } from '#lib/server/db/connect.ts';

export const GET = async (): Promise<Response> => {
	try {
		await database().pool.query('select 1');
		return new Response('ready');
	} catch {
		return new Response('the database does not answer', { status: 503 });
	}
};
