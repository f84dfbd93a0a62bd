import { answerForm, insteadForm, setupOf } from '#lib/contract/setup-form.ts';
import { hardestEffort, painAround } from '#lib/core/session/work.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal, refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { uuid } from '#lib/contract/basics.ts';
import { closeFlag } from '#lib/server/usecase/flags.ts';
import { fitContextOf } from '#lib/server/record/fit-of.ts';
import { ownLaddersOf } from '#lib/server/record/facts-of.ts';
import { slipsByNeed } from '#lib/server/view/slips-by-need.ts';
import { signedDecisions } from '#lib/server/usecase/signed-decisions.ts';
import { signDecision } from '#lib/server/usecase/sign-decision.ts';
import { undoDecision } from '#lib/server/usecase/undo-decision.ts';
import {
	alternativeText,
	changeText,
	decisionSentence,
	flipText,
	outlookText,
	reasonText
} from '#lib/wording/decision.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'decide', async (r, t, ctx) => {
		const signed = await signedDecisions(t, params.id);
		// Newest first, so the newest is what stays.
		const last = new Map(
			signed
				.filter((d) => !d.undone)
				.reverse()
				.map((d) => [d.exerciseId, d])
		);
		const newest = signed.find((d) => !d.undone);
		return {
			ctx: fitContextOf(r, ctx.today),
			own: ownLaddersOf(r),
			undoIds: formIds(ctx, 2),
			closeId: formIds(ctx, 1)[0] as string,
			undoable:
				newest === undefined
					? null
					: {
							id: newest.id,
							text: newest.outcome.text,
							by: newest.by,
							day: newest.day,
							title:
								r.exercises
									.find((e) => e.id === newest.exerciseId)
									?.prescriptions.find((p) => p.id === newest.basedOn)?.snapshot.title ?? ''
						},
			slips: slipsByNeed(r, ctx.today, true).map(({ exercise: e, trace, chain, hash, input, answered }) => {
				const before = last.get(e.id);
				const [id, prescriptionId] = formIds(ctx, 2);
				return {
					exerciseId: e.id,
					region: e.region,
					hash,
					basedOn: chain.head.id,
					state: chain.head.state,
					ids: { id: id as string, prescriptionId: prescriptionId as string },
					title: chain.head.snapshot.title,
					passedOver:
						chain.head.passedOver.length === 0 || chain.head.reason === null ? null : chain.head.reason,
					now: { step: chain.head.step, dose: chain.head.dose, setup: chain.head.setup },
					next: trace.change === null ? null : trace.change.result,
					decision: trace.decision,
					mend: trace.change?.kind === 'mend',
					rule: trace.rule,
					provisional: trace.provisional,
					usual: trace.usual,
					policy: trace.policy,
					sentence: decisionSentence(trace, ctx.today),
					change: trace.change === null ? null : changeText(trace.change),
					flip: trace.nearestFlip === null ? null : flipText(trace.nearestFlip),
					outlook: outlookText(trace),
					alternatives: trace.alternatives.map(alternativeText),
					reasons: trace.reasons.map((x) => ({
						text: reasonText(x, ctx.today),
						source: x.source,
						met: x.met
					})),
					considered: trace.considered.map((c) => ({
						rule: c.rule,
						fired: c.fired,
						why: c.why
							.slice(0, 4)
							.map((x) => reasonText(x, ctx.today))
							.join('; ')
					})),
					sessions: input.sessions
						.slice(-5)
						.reverse()
						.map((s) => ({
							date: s.date,
							counts: s.sinceChange === true,
							work: `${s.sets.length}×${s.sets[0]?.reps ?? 0}`,
							effort: hardestEffort(s) ?? null,
							...painAround(s, e.region, input.mornings),
							seen: s.observed
						})),
					answered: before !== undefined && answered ? { by: before.by, text: before.outcome.text } : null
				};
			})
		};
	});

export const actions: Actions = {
	answer: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = answerForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { reason, ...a } = parsed.data;
		const instead = a.answer === 'accepted' ? undefined : insteadForm.safeParse(Object.fromEntries(form));
		if (instead !== undefined && !instead.success) return refuseShape(form, instead.error);
		const what =
			instead === undefined
				? undefined
				: {
						step: instead.data.step,
						sets: instead.data.sets,
						reps: instead.data.reps,
						loadKg: instead.data.loadKg ?? 0,
						setup: setupOf(instead.data)
					};
		const done = await signDecision(contextIn(locals), {
			...a,
			clientId: params.id,
			...(what === undefined ? {} : { instead: what }),
			...(reason ? { reason } : {})
		});
		return done.ok ? { done: `Signed. ${done.value.text}` } : refusal(form, done.refusal);
	},
	undo: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const ids = ['id', 'prescriptionId', 'decisionId'].map((k) => uuid.safeParse(form.get(k)));
		const [id, prescriptionId, decisionId] = ids.map((x) => x.data);
		if (id === undefined || prescriptionId === undefined || decisionId === undefined)
			return refuseField(form, '', 'The form has lost its ids; reload the page.');
		const done = await undoDecision(contextIn(locals), {
			id,
			prescriptionId,
			decisionId,
			clientId: params.id
		});
		return done.ok ? { done: 'Undone: what stood before stands again.' } : refusal(form, done.refusal);
	},
	'close-flag': async ({ request, locals, params }) => {
		const form = await formOf(request);
		const [id, flagId] = ['id', 'flagId'].map((k) => uuid.safeParse(form.get(k)).data);
		if (id === undefined || flagId === undefined)
			return refuseField(form, 'note', 'The form has lost its ids; reload the page.');
		const done = await closeFlag(contextIn(locals), {
			id,
			flagId,
			clientId: params.id,
			note: String(form.get('note') ?? '')
				.slice(0, 300)
				.replaceAll('\0', '')
		});
		return done.ok ? { done: 'Flag closed.' } : refusal(form, done.refusal);
	}
};
