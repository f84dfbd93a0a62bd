/** The database answers. */
import { isReady } from '#lib/server/usecase/is-ready.ts';

export const GET = async (): Promise<Response> =>
	(await isReady()) ? new Response('ready') : new Response('the database does not answer', { status: 503 });
