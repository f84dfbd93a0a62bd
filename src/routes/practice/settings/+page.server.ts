import { settingsForm } from '#lib/contract/practice-form.ts';
import type { Technique } from '#lib/core/posture/problem.ts';
import { contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { orError, refusal, refuseShape } from '#lib/server/http/respond.ts';
import { changePractice, markOf, showSettings } from '#lib/server/usecase/practice-settings.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const ctx = contextIn(locals);
	const settings = orError(await showSettings(ctx));
	return {
		settings,
		before: markOf(settings),
		id: formIds(ctx, 1)[0] as string,
		zones: Intl.supportedValuesOf('timeZone')
	};
};

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const form = await formOf(request);
		const parsed = settingsForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { technique, ...s } = parsed.data;
		const done = await changePractice(contextIn(locals), {
			...s,
			technique: technique === '' ? null : (technique as Technique),
			before: String(form.get('before') ?? '')
		});
		return done.ok
			? { done: `Kept: ${done.value.changed.join(', ')}. It holds for everybody from now on.` }
			: refusal(form, done.refusal);
	}
};
