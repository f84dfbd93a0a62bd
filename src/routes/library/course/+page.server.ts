import { usable } from '#lib/catalogue/check-own.ts';
import { contextIn } from '#lib/server/http/client-page.ts';
import { saveSent } from '#lib/server/http/own-file.ts';
import { orError } from '#lib/server/http/respond.ts';
import { ownCourses, saveCourses } from '#lib/server/usecase/own-courses.ts';
import { ownFamilies } from '#lib/server/usecase/own-families.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const ctx = contextIn(locals);
	return {
		own: orError(await ownCourses(ctx)),
		families: usable(orError(await ownFamilies(ctx))),
		licensed: ctx.actor.licensed
	};
};

export const actions: Actions = {
	save: ({ request, locals }) =>
		saveSent(request, 'courses', (content) => saveCourses(contextIn(locals), content))
};
