import { redirect } from '@sveltejs/kit';
import { COURSES, isBegun } from '#lib/catalogue/courses.ts';
import { endEpisodeForm } from '#lib/contract/episode-form.ts';
import { uuid } from '#lib/contract/basics.ts';
import { parseSeveral } from '#lib/contract/several-form.ts';
import { prescribeSeveral } from '#lib/server/usecase/prescribe-several.ts';
import { delegationForm, familiesIn, orderForm, pauseForm } from '#lib/contract/plan-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { refusal, refuseAll, refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { fitContextOf } from '#lib/server/record/fit-of.ts';
import { ownLaddersOf, regionsOf } from '#lib/server/record/facts-of.ts';
import { leaveCourseForm, startCourseForm } from '#lib/contract/course-view.ts';
import { leaveCourse, startCourse } from '#lib/server/usecase/start-course.ts';
import { courseView } from '#lib/server/view/course-view.ts';
import { delegate, delegationShown, endDelegation } from '#lib/server/usecase/delegate.ts';
import { endEpisode } from '#lib/server/usecase/end-episode.ts';
import { orderPlan } from '#lib/server/usecase/order-plan.ts';
import { pauseExercise } from '#lib/server/usecase/pause-exercise.ts';
import { planView } from '#lib/server/view/plan-view.ts';
import { slipsByNeed } from '#lib/server/view/slips-by-need.ts';
import type { Actions, PageServerLoad } from './$types';

/** Steps of one stage at most. */
const MOST_OF_STAGE = 12;

export const load: PageServerLoad = ({ locals, params, url }) =>
	clientPage(locals, params.id, 'plan', async (r, t, ctx) => {
		const slips = slipsByNeed(r, ctx.today);
		const delegation = await delegationShown(t, params.id, ctx.today);
		return {
			plan: planView(r, slips, ctx.today, formIds(ctx, r.everGiven.length)),
			ctx: fitContextOf(r, ctx.today),
			own: ownLaddersOf(r),
			course: courseView(r, ctx.today),
			courseIds: formIds(ctx, 2 + 2 * MOST_OF_STAGE),
			courses: [...COURSES, ...r.room.courses].filter(isBegun).map(({ id, title }) => ({ id, title })),
			wanted: url.searchParams.get('course'),
			regions: regionsOf(r),
			orderId: formIds(ctx, 1)[0] as string,
			episodeId: formIds(ctx, 1)[0] as string,
			delegation,
			delegationIds: formIds(ctx, 1 + delegation.stands.length)
		};
	});

const DONE = {
	active: 'Taken up again where it was left; its streak begins anew.',
	'set-aside': 'Set aside, with your reason.',
	ended: 'Ended, with your reason. It stands below, and can be taken up again.'
} as const;

export const actions: Actions = {
	course: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = startCourseForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { basedOn, ...begun } = parsed.data;
		const done = await startCourse(contextIn(locals), {
			...begun,
			clientId: params.id,
			basedOn: basedOn === '' ? null : basedOn
		});
		return done.ok ? { done: `On the course: ${done.value.title}.` } : refusal(form, done.refusal);
	},
	stage: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = parseSeveral(form);
		if (!parsed.ok) return refuseAll(form, parsed.issues);
		const done = await prescribeSeveral(contextIn(locals), {
			id: parsed.id,
			clientId: params.id,
			items: parsed.picked
		});
		return done.ok ? { done: `Prescribed ${done.value.length} of this stage.` } : refusal(form, done.refusal);
	},
	'leave-course': async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = leaveCourseForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await leaveCourse(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok
			? { done: 'Off the course. What was prescribed from it stands.' }
			: refusal(form, done.refusal);
	},
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
