import { floorAsked } from '#lib/contract/floor.ts';
import { contextIn } from '#lib/server/http/client-page.ts';
import { orError } from '#lib/server/http/respond.ts';
import { showFloor } from '#lib/server/usecase/show-floor.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) =>
	orError(await showFloor(contextIn(locals), floorAsked(url.searchParams), url.searchParams.get('find')));
