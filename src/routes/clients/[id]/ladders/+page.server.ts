import { changeSetting } from '#lib/server/usecase/change-setting.ts';
import { clearedForm, positionsForm } from '#lib/contract/ladders-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { laddersView } from '#lib/server/usecase/ladders-view.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'ladders', (r, _, ctx) => ({
		...laddersView(r, ctx.today),
		positions: r.head.setting.positions,
		clearances: r.head.setting.clearances,
		ids: formIds(ctx, 2)
	}));

export const actions: Actions = {
	positions: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = positionsForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { id, ...positions } = parsed.data;
		const done = await changeSetting(contextIn(locals), params.id, id, { positions });
		return done.ok ? { done: 'Positions saved.' } : refusal(form, done.refusal);
	},
	cleared: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = clearedForm.safeParse({ id: form.get('id'), clearances: form.getAll('clearance') });
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await changeSetting(contextIn(locals), params.id, parsed.data.id, {
			clearances: parsed.data.clearances
		});
		return done.ok ? { done: 'Clearance saved.' } : refusal(form, done.refusal);
	}
};
