import { contextIn } from '#lib/server/http/client-page.ts';
import { calendarFile } from '#lib/server/http/files.ts';
import { orError } from '#lib/server/http/respond.ts';
import { inZone } from '#lib/server/usecase/actor.ts';
import { showClient } from '#lib/server/usecase/show-client.ts';
import { calendarOf } from '#lib/server/view/calendar-view.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals, params }) => {
	const ctx = contextIn(locals);
	const { more } = orError(
		await showClient(ctx, params.id, 'the week as a calendar', (_, r) =>
			calendarOf(r, inZone(ctx, r.head.tz).today, ctx.actor.practice)
		)
	);
	return calendarFile(more);
};
