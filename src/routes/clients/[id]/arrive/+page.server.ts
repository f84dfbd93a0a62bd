import { lighterDose } from '#lib/core/decision/arrival.ts';
import { closedToday } from '#lib/core/decision/closed-today.ts';
import { stepAnywhere } from '#lib/core/exercise/family.ts';
import { issuesOf, text, typedWhole, uuid } from '#lib/contract/basics.ts';
import { arrivalOf, arriveForm } from '#lib/contract/ask-form.ts';
import { z } from 'zod';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal, refuseAll, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { arrive, openDay } from '#lib/server/usecase/arrive.ts';
import { activeWork, boundOn, cardOn, regionsOf, usualNow } from '#lib/server/record/facts-of.ts';
import { standingOf } from '#lib/server/record/fit-of.ts';
import { arrivalReasons, arrivalSentence, closedText } from '#lib/wording/intake.ts';
import { alarmText, isGrave, standingSentence } from '#lib/wording/safety.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'arrival card', (r, _, ctx) => {
		const today = cardOn(r, ctx.today);
		const bound = boundOn(r, ctx.today);
		return {
			ids: formIds(ctx, 2),
			regions: regionsOf(r).map((region) => ({ region, usual: usualNow(r, region, ctx.today) })),
			earlier:
				today === undefined
					? null
					: {
							answer: today.answer,
							why: arrivalReasons(today.said.reasons ?? []),
							opened: today.openedBecause,
							closes: today.said.closes ?? []
						},
			language: r.head.setting.language,
			work: r.exercises.flatMap((e) => {
				const p = activeWork(r).find((w) => e.prescriptions.some((x) => x.id === w.id));
				const stands = standingOf(r, e, ctx.today);
				const tags = p === undefined ? [] : (stepAnywhere(r.families, p.step)?.tags ?? []);
				const closed = closedToday(bound, { region: e.region, tags });
				return p === undefined
					? []
					: [
							{
								id: e.id,
								region: e.region,
								title: p.snapshot.title,
								dose: p.dose,
								lighter: lighterDose(p.dose),
								held: stands?.verdict === 'suspended' ? standingSentence(stands) : null,
								closed: closed.length === 0 ? null : closedText(closed)
							}
						];
			})
		};
	});

const openForm = z.object({ id: uuid, reason: text(300) });

export const actions: Actions = {
	arrive: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const ctx = contextIn(locals);
		const parsed = arriveForm.safeParse(Object.fromEntries(form));
		const pains: Record<string, number> = {};
		const issues = parsed.success ? [] : [...issuesOf(parsed.error)];
		for (const [key, value] of form) {
			if (!key.startsWith('pain.')) continue;
			const pain = typedWhole('Pain now', 0, 10).safeParse(String(value));
			if (!pain.success) issues.push({ field: key, message: pain.error.issues[0]?.message ?? '' });
			else if (pain.data !== undefined) pains[key.slice(5)] = pain.data;
		}
		if (!parsed.success || issues.length > 0) return refuseAll(form, issues);
		const done = await arrive(ctx, { ...arrivalOf(parsed.data), clientId: params.id, pains });
		if (!done.ok) return refusal(form, done.refusal);
		const { answer, raised } = done.value;
		return {
			answer,
			sentence: arrivalSentence(done.value),
			alarms: raised.map(alarmText),
			grave: isGrave(raised)
		};
	},
	open: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const ctx = contextIn(locals);
		const parsed = openForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await openDay(ctx, { ...parsed.data, clientId: params.id });
		return done.ok
			? { done: 'Opened, with your reason. The card stays as it was filled in.' }
			: refusal(form, done.refusal);
	}
};
