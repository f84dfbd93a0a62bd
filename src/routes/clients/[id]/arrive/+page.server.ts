import { lighterSets } from '#lib/core/decision/arrival.ts';
import { typed } from '#lib/contract/basics.ts';
import { arriveForm } from '#lib/contract/ask-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal, refuseField } from '#lib/server/http/respond.ts';
import { arrive } from '#lib/server/usecase/ask.ts';
import { intakeShown } from '#lib/server/usecase/intake-shown.ts';
import { standing, usualNow, regionsOf } from '#lib/server/usecase/record.ts';
import { arrivalSentence } from '#lib/wording/intake.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'arrival card', async (r, t, ctx) => {
		const { arrivals } = await intakeShown(t, params.id);
		const today = arrivals.filter((a) => a.day === ctx.today).pop();
		return {
			id: formIds(ctx, 1)[0] as string,
			regions: regionsOf(r).map((region) => ({ region, usual: usualNow(r, region, ctx.today) })),
			earlier: today?.answer ?? null,
			language: r.head.setting.language,
			work: standing(r).map(({ snapshot, dose }) => ({ title: snapshot.title, sets: dose.sets, reps: dose.reps, lighter: lighterSets(dose.sets) }))
		};
	});

export const actions: Actions = {
	default: async ({ request, locals, params }) => {
		const form = await request.formData();
		const ctx = contextIn(locals);
		const parsed = arriveForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseField(form, String(parsed.error.issues[0]?.path[0] ?? ''), parsed.error.issues[0]?.message ?? '');
		const pains: Record<string, number> = {};
		for (const [key, value] of form) {
			if (!key.startsWith('pain.')) continue;
			const pain = typed('Pain now', 0, 10).safeParse(String(value));
			if (!pain.success) return refuseField(form, key, pain.error.issues[0]?.message ?? '');
			if (pain.data !== undefined) pains[key.slice(5)] = pain.data;
		}
		const done = await arrive(ctx, { ...parsed.data, clientId: params.id, day: ctx.today, pains });
		return done.ok ? { answer: done.value.answer, sentence: arrivalSentence(done.value) } : refusal(form, done.refusal);
	}
};
