import { changeSetting } from '#lib/server/usecase/change-setting.ts';
import { MOST_ROWS, parseSeveral } from '#lib/contract/several-form.ts';
import { patternsFor, planOf } from '#lib/server/usecase/plan-of.ts';
import { prescribeSeveral } from '#lib/server/usecase/prescribe-several.ts';
import { clearedForm, positionsForm } from '#lib/contract/ladders-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { orError, refusal, refuseAll, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { firstUnmet, laddersView } from '#lib/server/usecase/ladders-view.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params, url }) =>
	clientPage(locals, params.id, 'ladders', async (r, t, ctx) => {
		const from = url.searchParams.get('from') ?? '';
		const find = url.searchParams.get('find');
		const { gates, ...view } = laddersView(r, ctx.today);
		return {
			...view,
			waits: firstUnmet(gates),
			positions: r.head.setting.positions,
			clearances: r.head.setting.clearances,
			// Asked for by name: a practice has more clients than a list.
			patterns: find === null ? null : await patternsFor(t, params.id, find),
			pattern: from === '' || from === params.id ? null : orError(await planOf(ctx, from)),
			rowIds: formIds(ctx, 2 * MOST_ROWS),
			ids: formIds(ctx, 3)
		};
	});

export const actions: Actions = {
	several: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = parseSeveral(form);
		if (!parsed.ok) return refuseAll(form, parsed.issues);
		const done = await prescribeSeveral(contextIn(locals), {
			id: parsed.id,
			clientId: params.id,
			items: parsed.picked
		});
		return done.ok
			? {
					done: `Prescribed ${done.value.length === 1 ? 'one exercise' : `${done.value.length} exercises`}. They stand on the plan.`
				}
			: refusal(form, done.refusal);
	},
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
