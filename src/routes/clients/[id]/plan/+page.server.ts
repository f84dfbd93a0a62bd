import { redirect } from '@sveltejs/kit';
import { endEpisodeForm } from '#lib/contract/episode-form.ts';
import { uuid } from '#lib/contract/basics.ts';
import { delegationForm, familiesIn, orderForm, pauseForm } from '#lib/contract/plan-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { refusal, refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { fitContextOf } from '#lib/server/record/fit-of.ts';
import { ownLaddersOf } from '#lib/server/record/facts-of.ts';
import { delegate, delegationShown, endDelegation } from '#lib/server/usecase/delegate.ts';
import { endEpisode } from '#lib/server/usecase/end-episode.ts';
import { orderPlan } from '#lib/server/usecase/order-plan.ts';
import { pauseExercise } from '#lib/server/usecase/pause-exercise.ts';
import { planView } from '#lib/server/view/plan-view.ts';
import { slipsByNeed } from '#lib/server/view/slips-by-need.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'plan', async (r, t, ctx) => {
		const slips = slipsByNeed(r, ctx.today);
		const delegation = await delegationShown(t, params.id, ctx.today);
		return {
			plan: planView(r, slips, ctx.today, formIds(ctx, r.everGiven.length)),
			ctx: fitContextOf(r, ctx.today),
			own: ownLaddersOf(r),
			orderId: formIds(ctx, 1)[0] as string,
			episodeId: formIds(ctx, 1)[0] as string,
			delegation,
			delegationIds: formIds(ctx, 1 + delegation.stands.length),
			practice: ctx.actor.practice
		};
	});

const DONE = {
	active: 'Taken up again where it was left; its streak begins anew.',
	'set-aside': 'Set aside, with your reason.',
	ended: 'Ended, with your reason. It stands below, and can be taken up again.'
} as const;

export const actions: Actions = {
	episode: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = endEpisodeForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await endEpisode(contextIn(locals), { ...parsed.data, clientId: params.id });
		if (!done.ok) return refusal(form, done.refusal);
		redirect(303, '/clients?status=archived');
	},
	order: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = orderForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { id, basedOn, ...groups } = parsed.data;
		const done = await orderPlan(contextIn(locals), {
			id,
			clientId: params.id,
			basedOn: basedOn === '' ? null : basedOn,
			groups
		});
		return done.ok ? { done: 'Arranged.' } : refusal(form, done.refusal);
	},
	delegate: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = delegationForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const families = familiesIn(form);
		const done = await delegate(contextIn(locals), { ...parsed.data, clientId: params.id, families });
		return done.ok ? { done: 'Given. It holds from their next click.' } : refusal(form, done.refusal);
	},
	'end-delegation': async ({ request, locals, params }) => {
		const form = await formOf(request);
		const [id, delegationId] = ['id', 'delegationId'].map((k) => uuid.safeParse(form.get(k)).data);
		if (id === undefined || delegationId === undefined)
			return refuseField(form, '', 'The form has lost its ids; reload the page.');
		const done = await endDelegation(contextIn(locals), { id, delegationId, clientId: params.id });
		return done.ok
			? { done: 'Ended. They prescribe and sign nothing more here.' }
			: refusal(form, done.refusal);
	},
	pause: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = pauseForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await pauseExercise(contextIn(locals), { ...parsed.data, clientId: params.id });
		if (!done.ok) return refusal(form, done.refusal);
		return { done: DONE[parsed.data.to] };
	}
};
