import { clientsAsked, takeBackForm } from '#lib/contract/episode-form.ts';
import { contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { orError, refusal, refuseShape } from '#lib/server/http/respond.ts';
import { takeBack } from '#lib/server/usecase/end-episode.ts';
import { LIST_SIZE, listClients } from '#lib/server/usecase/list-clients.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const ctx = contextIn(locals);
	const asked = clientsAsked(url.searchParams);
	return {
		...orError(await listClients(ctx, asked)),
		...asked,
		size: LIST_SIZE,
		licensed: ctx.actor.licensed,
		id: formIds(ctx, 1)[0] as string
	};
};

export const actions: Actions = {
	back: async ({ request, locals }) => {
		const form = await formOf(request);
		const parsed = takeBackForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await takeBack(contextIn(locals), parsed.data);
		return done.ok
			? { done: `${done.value.name} is taken back: another episode, with the record as it was left.` }
			: refusal(form, done.refusal);
	}
};
