import { roomsCsv } from '#lib/exchange/rooms-csv.ts';
import { contextIn } from '#lib/server/http/client-page.ts';
import { orError } from '#lib/server/http/respond.ts';
import { showRooms } from '#lib/server/usecase/rooms.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals }) =>
	new Response(roomsCsv(orError(await showRooms(contextIn(locals)))), {
		headers: {
			'content-type': 'text/csv; charset=utf-8',
			'content-disposition': 'attachment; filename="rooms.csv"'
		}
	});
