import { clientPage } from '#lib/server/http/client-page.ts';
import { fitContextOf } from '#lib/server/record/fit-of.ts';
import { ownLaddersOf } from '#lib/server/record/facts-of.ts';
import { planView } from '#lib/server/view/plan-view.ts';
import { slipsByNeed } from '#lib/server/view/slips-by-need.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'plan', (r, _, ctx) => ({
		plan: planView(r, slipsByNeed(r, ctx.today, false), ctx.today),
		ctx: fitContextOf(r, ctx.today),
		own: ownLaddersOf(r),
		practice: ctx.actor.practice
	}));
