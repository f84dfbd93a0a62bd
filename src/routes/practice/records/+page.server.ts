import { answerErasureForm, askErasureOfForm } from '#lib/contract/record-end-form.ts';
import { contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { orError, refusal, refuseField, refuseShape } from '#lib/server/http/respond.ts';
import {
	agreeErasure,
	askErasure,
	keepErasedOutside,
	showRecordEnds,
	withdrawErasure
} from '#lib/server/usecase/erase-client.ts';
import { showAccess } from '#lib/server/usecase/show-access.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals, url }) => {
	const ctx = contextIn(locals);
	const ends = orError(await showRecordEnds(ctx));
	const before = new Date(url.searchParams.get('before') ?? '');
	const clientId = url.searchParams.get('client') ?? undefined;
	const { looks, more } = orError(
		await showAccess(ctx, {
			...(clientId === undefined ? {} : { clientId }),
			...(Number.isNaN(before.getTime()) ? {} : { before })
		})
	);
	return {
		ends,
		clientId,
		looks: looks.map((x) => ({ ...x, at: x.at.toISOString() })),
		more,
		tz: ctx.tz,
		ids: formIds(ctx, ends.requests.length + ends.due.length)
	};
};

export const actions: Actions = {
	ask: async ({ request, locals }) => {
		const form = await formOf(request);
		const parsed = askErasureOfForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await askErasure(contextIn(locals), parsed.data);
		return done.ok ? { done: 'Asked for. A second person agrees, here.' } : refusal(form, done.refusal);
	},
	back: async ({ request, locals }) => {
		const form = await formOf(request);
		const parsed = answerErasureForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { id, requestId } = parsed.data;
		const done = await withdrawErasure(contextIn(locals), { id, requestId });
		return done.ok ? { done: 'Taken back: nothing is erased.' } : refusal(form, done.refusal);
	},
	agree: async ({ request, locals }) => {
		const form = await formOf(request);
		const parsed = answerErasureForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { id, requestId, sure } = parsed.data;
		if (sure !== 'on') return refuseField(form, 'sure', 'Tick that you are sure: this cannot be undone.');
		const ctx = contextIn(locals);
		const done = await agreeErasure(ctx, { id, requestId });
		if (!done.ok) return refusal(form, done.refusal);
		await keepErasedOutside(ctx);
		return {
			done: `Erased: ${done.value.rows} rows. Backups made before still hold them until they go by themselves; what is restored from one erases them again.`
		};
	}
};
