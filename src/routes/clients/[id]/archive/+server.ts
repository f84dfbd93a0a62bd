/** Everything about a client as one file to take along. */
import { contextIn } from '#lib/server/http/client-page.ts';
import { orError } from '#lib/server/http/respond.ts';
import { exportClient } from '#lib/server/usecase/export-client.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params }) => {
	const { name, bytes } = orError(await exportClient(contextIn(locals), params.id));
	return new Response(new Uint8Array(bytes), {
		headers: {
			'content-type': 'application/zip',
			'content-length': String(bytes.length),
			'content-disposition': `attachment; filename="${name}"`
		}
	});
};
