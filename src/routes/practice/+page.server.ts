import { redirect } from '@sveltejs/kit';
import { contextIn } from '#lib/server/http/client-page.ts';
import type { PageServerLoad } from './$types';

/** The owner begins with the people, everybody else with the rooms. */
export const load: PageServerLoad = ({ locals }) =>
	redirect(303, contextIn(locals).actor.owner ? '/practice/people' : '/practice/rooms');
