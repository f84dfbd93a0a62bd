import { FAMILIES } from '#lib/catalogue/families.ts';
import { prescribeForm, setupOf } from '#lib/contract/setup-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal, refuseField } from '#lib/server/http/respond.ts';
import { prescribe } from '#lib/server/usecase/prescribe.ts';
import { advancesToday, fitContextOf, gatesOf, slipOf } from '#lib/server/usecase/record.ts';
import { decisionSentence } from '#lib/wording/decision.ts';
import { gateText } from '#lib/wording/gates.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'ladder', (r, _, ctx) => {
		const exercise = r.exercises.find((e) => e.family === 'squat');
		const slip = exercise === undefined ? null : slipOf(r, exercise, ctx.today, advancesToday(r, ctx.today), false);
		const [id, exerciseId] = formIds(ctx, 2);
		return {
			family: 'squat',
			ctx: fitContextOf(r, ctx.today),
			regions: Object.keys(r.head.setting.usual),
			gates: Object.fromEntries((FAMILIES.squat?.steps ?? []).map((s) => [s.id, gatesOf(r, s).map((g) => ({ met: g.met, text: gateText(g) }))])),
			frontOfKnee: r.head.setting.frontOfKnee,
			now: slip === null ? null : { step: slip.chain.head.step, dose: slip.chain.head.dose, setup: slip.chain.head.setup, state: slip.chain.head.state },
			slip: slip === null ? null : { decision: slip.trace.decision, sentence: decisionSentence(slip.trace, ctx.today) },
			ids: { id: id as string, exerciseId: exercise?.id ?? (exerciseId as string) }
		};
	});

export const actions: Actions = {
	prescribe: async ({ request, locals, params }) => {
		const form = await request.formData();
		const parsed = prescribeForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseField(form, String(parsed.error.issues[0]?.path[0] ?? ''), parsed.error.issues[0]?.message ?? '');
		const { id, exerciseId, step, region, sets, reps, loadKg = 0, reason } = parsed.data;
		const setup = setupOf(parsed.data);
		const done = await prescribe(contextIn(locals), { id, exerciseId, clientId: params.id, family: 'squat', step, region, sets, reps, loadKg, ...(Object.keys(setup).length === 0 ? {} : { setup }), ...(reason ? { reason } : {}) });
		return done.ok ? { done: `Prescribed ${sets}×${reps}.` } : refusal(form, done.refusal);
	}
};
