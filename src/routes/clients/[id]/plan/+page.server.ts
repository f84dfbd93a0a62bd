import { redirect } from '@sveltejs/kit';
import { endEpisodeForm } from '#lib/contract/episode-form.ts';
import { orderForm, pauseForm } from '#lib/contract/plan-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { refusal, refuseShape } from '#lib/server/http/respond.ts';
import { fitContextOf } from '#lib/server/record/fit-of.ts';
import { ownLaddersOf } from '#lib/server/record/facts-of.ts';
import { endEpisode } from '#lib/server/usecase/end-episode.ts';
import { orderPlan } from '#lib/server/usecase/order-plan.ts';
import { pauseExercise } from '#lib/server/usecase/pause-exercise.ts';
import { planView } from '#lib/server/view/plan-view.ts';
import { slipsByNeed } from '#lib/server/view/slips-by-need.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'plan', (r, _, ctx) => {
		const slips = slipsByNeed(r, ctx.today);
		return {
			plan: planView(r, slips, ctx.today, formIds(ctx, r.everGiven.length)),
			ctx: fitContextOf(r, ctx.today),
			own: ownLaddersOf(r),
			orderId: formIds(ctx, 1)[0] as string,
			episodeId: formIds(ctx, 1)[0] as string,
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
	pause: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = pauseForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await pauseExercise(contextIn(locals), { ...parsed.data, clientId: params.id });
		if (!done.ok) return refusal(form, done.refusal);
		return { done: DONE[parsed.data.to] };
	}
};
