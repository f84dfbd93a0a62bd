import { weekAsked, weekForm } from '#lib/contract/week-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { refusal, refuseShape } from '#lib/server/http/respond.ts';
import { signWeek } from '#lib/server/usecase/sign-week.ts';
import { weekView } from '#lib/server/view/week-view.ts';
import type { Actions, PageServerLoad } from './$types';

const MONDAY = 1;

export const load: PageServerLoad = ({ locals, params, url }) =>
	clientPage(locals, params.id, 'week', (r, _, ctx) => ({
		week: weekView(
			r,
			ctx.today,
			weekAsked(url.searchParams, r.head.setting),
			locals.house?.weekStart ?? MONDAY
		),
		id: formIds(ctx, 1)[0] as string
	}));

export const actions: Actions = {
	sign: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = weekForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { id, basedOn, week } = parsed.data;
		const done = await signWeek(contextIn(locals), {
			id,
			clientId: params.id,
			basedOn: basedOn === '' ? null : basedOn,
			week
		});
		return done.ok ? { done: 'The week is signed. It holds until another is.' } : refusal(form, done.refusal);
	}
};
