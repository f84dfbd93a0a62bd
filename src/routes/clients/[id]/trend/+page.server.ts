import { clientPage } from '#lib/server/http/client-page.ts';
import { signedDecisions } from '#lib/server/usecase/signed-decisions.ts';
import { goalMean, goalViews } from '#lib/server/usecase/goal-views.ts';
import { intakeShown, testsShown } from '#lib/server/usecase/intake-shown.ts';
import { regionsOf } from '#lib/server/record/facts-of.ts';
import { climbs, measuredTests, measuredTotals, painByRegion } from '#lib/server/view/trend-view.ts';
import { allow } from '#lib/server/usecase/actor.ts';
import { replay } from '#lib/server/usecase/replay-decision.ts';
import { morningChanges } from '#lib/server/usecase/morning-changes.ts';
import { decisionSentence } from '#lib/wording/decision.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params, url }) =>
	clientPage(locals, params.id, 'trend', async (r, t, ctx) => {
		const titleOf = new Map(
			r.everGiven.map((e) => [e.id, e.prescriptions[e.prescriptions.length - 1]?.snapshot.title])
		);
		const signed = await signedDecisions(t, r);
		const { results, totals } = await testsShown(t, params.id);
		const { goals } = await intakeShown(t, params.id);
		const mayReplay = allow(ctx.actor, 'replay decision').ok;
		const asked = mayReplay ? url.searchParams.get('replay') : null;
		return {
			mayReplay,
			policy: { safeMax: r.policy.safeMax, acceptableMax: r.policy.acceptableMax, stopAt: r.policy.stopAt },
			pains: painByRegion(r),
			climbs: climbs(r, signed),
			tests: measuredTests(r, results, ctx.today),
			totals: measuredTotals(totals),
			goals: goalViews(r, goals, ctx.today),
			mean: goalMean(goals, regionsOf(r)),
			mornings: morningChanges(r, ctx.today),
			ranges: r.measurements.map((m) => ({ axis: m.axis, side: m.side, day: m.day, tolerable: m.tolerable })),
			history: signed.map((d) => ({
				id: d.id,
				of: titleOf.get(d.exerciseId) ?? '',
				day: d.day,
				by: d.by,
				decision: d.proposal.decision,
				sentence: decisionSentence(d.proposal, d.day),
				outcome: d.outcome.text,
				answer: d.undone ? 'undone' : d.answer,
				reason: d.reason,
				recordChanged: d.recordChanged,
				engine: d.versions.engine,
				replay: asked === d.id || asked === 'all' ? replay(d) : null
			}))
		};
	});
