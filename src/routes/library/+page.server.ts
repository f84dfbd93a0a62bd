import { usable } from '#lib/catalogue/check-own.ts';
import { contextIn } from '#lib/server/http/client-page.ts';
import { orError } from '#lib/server/http/respond.ts';
import { ownCourses } from '#lib/server/usecase/own-courses.ts';
import { ownFamilies } from '#lib/server/usecase/own-families.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const ctx = contextIn(locals);
	return {
		courses: orError(await ownCourses(ctx)),
		own: usable(orError(await ownFamilies(ctx))),
		licensed: ctx.actor.licensed
	};
};
