import { contextIn } from '#lib/server/http/client-page.ts';
import { saveSent } from '#lib/server/http/own-file.ts';
import { orError } from '#lib/server/http/respond.ts';
import { ownFamilies, saveFamilies } from '#lib/server/usecase/own-families.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const ctx = contextIn(locals);
	return { own: orError(await ownFamilies(ctx)), licensed: ctx.actor.licensed };
};

export const actions: Actions = {
	save: ({ request, locals }) =>
		saveSent(request, 'families', (content) => saveFamilies(contextIn(locals), content))
};
