import { answerForm, insteadForm, setupOf } from '#lib/contract/setup-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal, refuseAll, refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { uuid } from '#lib/contract/basics.ts';
import { closeFlag } from '#lib/server/usecase/flags.ts';
import { fitContextOf } from '#lib/server/record/fit-of.ts';
import { advancesLeft, ownLaddersOf } from '#lib/server/record/facts-of.ts';
import { flipped } from '#lib/server/record/slip-of.ts';
import { slipsByNeed } from '#lib/server/view/slips-by-need.ts';
import { slipView } from '#lib/server/view/slip-view.ts';
import { signedDecisions } from '#lib/server/usecase/signed-decisions.ts';
import { parseSlips } from '#lib/contract/several-form.ts';
import { severalText } from '#lib/wording/decision.ts';
import { signSeveral } from '#lib/server/usecase/sign-several.ts';
import { signingClosed } from '#lib/server/usecase/may-sign.ts';
import { signDecision } from '#lib/server/usecase/sign-decision.ts';
import { undoDecision } from '#lib/server/usecase/undo-decision.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params, url }) =>
	clientPage(locals, params.id, 'decide', async (r, t, ctx) => {
		const signed = await signedDecisions(t, r);
		// Newest first, so the newest is what stays.
		const last = new Map(
			signed
				.filter((d) => !d.undone)
				.reverse()
				.map((d) => [d.exerciseId, d])
		);
		const slips = slipsByNeed(r, ctx.today);
		// What would change the answer is looked for where the slip lies open.
		const open = slips.find((s) => s.exercise.id === url.searchParams.get('exercise')) ?? slips[0];
		const newest = signed.find((d) => !d.undone);
		return {
			ctx: fitContextOf(r, ctx.today),
			own: ownLaddersOf(r),
			undoIds: formIds(ctx, 2),
			advancesLeft: advancesLeft(r, ctx.today),
			severalId: formIds(ctx, 1)[0] as string,
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
								r.everGiven
									.find((e) => e.id === newest.exerciseId)
									?.prescriptions.find((p) => p.id === newest.basedOn)?.snapshot.title ?? ''
						},
			slips: slips.map((slip) => {
				const [id, prescriptionId] = formIds(ctx, 2) as [string, string];
				const before = last.get(slip.exercise.id);
				const answered = before === undefined ? undefined : { by: before.by, text: before.outcome.text };
				const { family } = slip.exercise;
				const closed = signingClosed(ctx.actor, r, { family, decision: slip.trace.decision }, ctx.today);
				return slipView(
					slip === open ? flipped(slip) : slip,
					ctx.today,
					{ id, prescriptionId },
					answered,
					closed
				);
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
	several: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = parseSlips(form);
		if (!parsed.ok) return refuseAll(form, parsed.issues);
		const { id, slips } = parsed;
		const done = await signSeveral(contextIn(locals), { id, clientId: params.id, slips });
		return done.ok ? { done: severalText(done.value) } : refusal(form, done.refusal);
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
