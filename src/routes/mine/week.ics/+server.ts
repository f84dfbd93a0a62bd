import { error } from '@sveltejs/kit';
import { calendarFile } from '#lib/server/http/files.ts';
import { orError } from '#lib/server/http/respond.ts';
import { inZone } from '#lib/server/usecase/actor.ts';
import { showClient } from '#lib/server/usecase/show-client.ts';
import { calendarOf } from '#lib/server/view/calendar-view.ts';
import type { RequestHandler } from './$types';

export const GET: RequestHandler = async ({ locals: { context } }) => {
	if (context?.actor.client === undefined) error(404, 'This page is not open on this device.');
	const { actor } = context;
	const { more } = orError(
		await showClient(
			context,
			actor.client ?? '',
			'the week as a calendar',
			(_, r) => calendarOf(r, inZone(context, r.head.tz).today, actor.practice),
			'show own page'
		)
	);
	return calendarFile(more);
};
