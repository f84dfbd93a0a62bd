import { contextIn } from '#lib/server/http/client-page.ts';
import { orError, refusal } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { ownFamilies, saveFamilies } from '#lib/server/usecase/own-families.ts';
import { fail } from '@sveltejs/kit';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const ctx = contextIn(locals);
	return { own: orError(await ownFamilies(ctx)), licensed: ctx.actor.licensed };
};

/** A file of families is text; larger than this it is something else. */
const MOST_BYTES = 1_000_000;

export const actions: Actions = {
	save: async ({ request, locals }) => {
		const form = await formOf(request);
		const upload = form.get('file');
		const content =
			upload instanceof File && upload.size > 0
				? upload.size > MOST_BYTES
					? ''
					: await upload.text()
				: String(form.get('content') ?? '');
		if (upload instanceof File && upload.size > MOST_BYTES)
			return fail(422, {
				faults: [
					{
						line: null,
						place: upload.name,
						message: 'This file is larger than one megabyte; it is not a file of families.'
					}
				],
				content: ''
			});
		const done = await saveFamilies(contextIn(locals), content);
		if (!done.ok) return refusal(form, done.refusal);
		return 'faults' in done.value
			? fail(422, { faults: done.value.faults, content })
			: { done: `Saved: ${done.value.saved.join(', ')}.` };
	}
};
