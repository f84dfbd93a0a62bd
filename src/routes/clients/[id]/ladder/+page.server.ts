import { delegated, NOT_DELEGATED } from '#lib/server/usecase/delegated.ts';
import { z } from 'zod';
import { findStep } from '#lib/catalogue/families.ts';
import { text, uuid } from '#lib/contract/basics.ts';
import { particularsOf } from '#lib/contract/particulars.ts';
import { prescribeForm, setupOf } from '#lib/contract/setup-form.ts';
import { doseText } from '#lib/wording/dose.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { laddersView } from '#lib/server/usecase/ladders-view.ts';
import { prescribe } from '#lib/server/usecase/prescribe.ts';
import { advancesToday } from '#lib/server/record/facts-of.ts';
import { leaveOut, takeStepBack } from '#lib/server/usecase/leave-out.ts';
import { slipOf } from '#lib/server/record/slip-of.ts';
import { decisionSentence } from '#lib/wording/decision.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params, url }) =>
	clientPage(locals, params.id, 'ladder', (r, _, ctx) => {
		const view = laddersView(r, ctx.today);
		const wanted = url.searchParams.get('family') ?? '';
		const family =
			r.families[wanted] === undefined
				? view.now.squat === undefined
					? (Object.keys(view.now)[0] ?? 'squat')
					: 'squat'
				: wanted;
		// The exercise that is looked at: the one asked for, else where the sorest region is on this ladder.
		const asked = url.searchParams.get('exercise');
		const now =
			view.inPlan.find((n) => n.family === family && n.exerciseId === asked) ?? view.now[family] ?? null;
		const exercise = now === null ? undefined : r.exercises.find((e) => e.id === now.exerciseId);
		const slip = exercise === undefined ? null : slipOf(r, exercise, ctx.today, advancesToday(r, ctx.today));
		const [id, exerciseId, endId] = formIds(ctx, 3) as [string, string, string];
		return {
			...view,
			bands: r.room.bands,
			notMine: delegated(ctx.actor, r, family, ctx.today) ? null : NOT_DELEGATED,
			nowBy: view.now,
			family,
			wanted: url.searchParams.get('step'),
			now,
			slip:
				slip === null
					? null
					: { decision: slip.trace.decision, sentence: decisionSentence(slip.trace, ctx.today) },
			asked: asked !== null && now?.exerciseId === asked ? asked : null,
			ids: { id, exerciseId, endId },
			leaveIds: formIds(ctx, 2) as [string, string],
			leftOut: r.head.leftOut
				// A step of a practice's own ladder is shown on its own.
				.filter((x) => (findStep(x.step)?.family.id ?? family) === family)
				.map((x) => ({ id: x.id, because: x.because, title: findStep(x.step)?.step.title ?? x.step }))
		};
	});

const leaveForm = z.object({
	id: uuid,
	step: text(80).min(1),
	because: text(200).min(5, 'Why is it never given here, in a few words?')
});
const backForm = z.object({ id: uuid, leftOutId: uuid });

export const actions: Actions = {
	leave: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = leaveForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await leaveOut(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok
			? { done: 'Left out: nothing proposes it any more, and the ladder passes over it.' }
			: refusal(form, done.refusal);
	},
	back: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = backForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await takeStepBack(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok ? { done: 'Back on its ladder.' } : refusal(form, done.refusal);
	},
	prescribe: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = prescribeForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const {
			id,
			exerciseId,
			family,
			step,
			region,
			sets,
			reps,
			loadKg = 0,
			reason,
			inPlaceOf,
			endId,
			rounds
		} = parsed.data;
		const setup = setupOf(parsed.data);
		const done = await prescribe(contextIn(locals), {
			id,
			exerciseId,
			clientId: params.id,
			family,
			step,
			region,
			sets,
			reps,
			loadKg,
			particulars: particularsOf(parsed.data),
			...(rounds === 'on' ? { rounds: true as const } : {}),
			...(inPlaceOf === '' ? {} : { inPlaceOf }),
			...(endId === undefined ? {} : { endId }),
			...(Object.keys(setup).length === 0 ? {} : { setup }),
			...(reason ? { reason } : {})
		});
		return done.ok
			? { done: `Prescribed ${doseText({ ...done.value.dose, loadKg: 0 })}.` }
			: refusal(form, done.refusal);
	}
};
