import { error } from '@sveltejs/kit';
import { simulationQuery } from '#lib/contract/device.ts';
import { deviceNamed, deviceStream } from '#lib/server/http/device-stream.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = ({ params, url }) => {
	const device = deviceNamed(params.device);
	if (device === undefined) error(404, 'There is no such device.');
	const query = simulationQuery.safeParse(Object.fromEntries(url.searchParams));
	if (!query.success) error(400, query.error.issues[0]?.message ?? 'A device cannot act that out.');
	return new Response(deviceStream(device, query.data), {
		headers: { 'content-type': 'application/x-ndjson', 'cache-control': 'no-store' }
	});
};
