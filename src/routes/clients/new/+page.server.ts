import { redirect } from '@sveltejs/kit';
import { uuid } from '#lib/contract/basics.ts';
import { CONSENT_PURPOSES } from '#lib/core/client/consent.ts';
import { daysIn, HOME_KIT, kitIn, parseBuild, registerForm } from '#lib/contract/register-form.ts';
import { contextIn, formIds } from '#lib/server/http/client-page.ts';
import { allow } from '#lib/server/usecase/actor.ts';
import { orError, refusal, refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { beginsWith } from '#lib/server/usecase/practice-settings.ts';
import { registerClient } from '#lib/server/usecase/register-client.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals }) => {
	const ctx = contextIn(locals);
	orError(allow(ctx.actor, 'register client'));
	return {
		ids: formIds(ctx, 3 + CONSENT_PURPOSES.length),
		today: ctx.today,
		units: ctx.units,
		purposes: CONSENT_PURPOSES,
		kit: HOME_KIT
	};
};

export const actions: Actions = {
	default: async ({ request, locals }) => {
		const form = await formOf(request);
		const all = Object.fromEntries(form);
		const parsed = registerForm.safeParse(all);
		if (!parsed.success) return refuseShape(form, parsed.error);
		const build = parseBuild(all);
		if (!build.success) return refuseShape(form, build.error);
		const consents = CONSENT_PURPOSES.map((purpose) => ({
			id: uuid.safeParse(form.get(`consent.${purpose}.id`)).data ?? '',
			purpose,
			given: form.get(`consent.${purpose}`) === 'on'
		}));
		if (consents.some((c) => c.id === ''))
			return refuseField(form, '', 'The form has lost its ids; reload the page.');
		const { sex, occupation, minutes, ...who } = parsed.data;
		const ctx = contextIn(locals);
		const begins = await beginsWith(ctx);
		const done = await registerClient(ctx, {
			...who,
			...build.data,
			...(sex === '' ? {} : { sex }),
			...(occupation === '' ? {} : { occupation }),
			...(minutes === undefined ? {} : { minutes }),
			technique: begins.technique,
			policyId: begins.policyId,
			brace: begins.brace,
			frontOfKnee: false,
			usual: {},
			homeKit: kitIn(form),
			days: daysIn(form),
			consents
		});
		if (!done.ok) return refusal(form, done.refusal);
		redirect(303, `/clients/${done.value}/screen`);
	}
};
