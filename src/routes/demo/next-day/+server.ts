/** Moves the day of a demo on by one, for everybody in it. In a practice there is no such page. */
import { error, redirect } from '@sveltejs/kit';
import { demoDay } from '#lib/server/http/demo-day.ts';
import type { RequestHandler } from './$types';

export const POST: RequestHandler = () => {
	if (demoDay.next() === undefined) error(404, 'There is no such page.');
	redirect(303, '/');
};
