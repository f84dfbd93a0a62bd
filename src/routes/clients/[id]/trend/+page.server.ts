import { painChangesFor, painPopulations } from '#lib/catalogue/change-rules.ts';
import { addDays } from '#lib/core/base/calendar-day.ts';
import { changeOf } from '#lib/core/measure/change.ts';
import { clientPage } from '#lib/server/http/client-page.ts';
import { signedDecisions } from '#lib/server/usecase/signed-decisions.ts';
import { allow } from '#lib/server/usecase/actor.ts';
import { replay } from '#lib/server/usecase/replay-decision.ts';
import { regionsOf, usualNow } from '#lib/server/usecase/record.ts';
import { decisionSentence } from '#lib/wording/decision.ts';
import type { PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params, url }) =>
	clientPage(locals, params.id, 'trend', async (r, t, ctx) => {
		const titleOf = new Map(r.exercises.map((e) => [e.id, e.prescriptions[e.prescriptions.length - 1]?.snapshot.title]));
		const signed = await signedDecisions(t, params.id);
		const mayReplay = allow(ctx.actor, 'replay decision').ok;
		const asked = mayReplay ? url.searchParams.get('replay') : null;
		return {
			mayReplay,
			policy: { safeMax: r.policy.safeMax, acceptableMax: r.policy.acceptableMax, stopAt: r.policy.stopAt },
			exercises: r.exercises.map((e) => ({
				id: e.id,
				title: titleOf.get(e.id) ?? e.family,
				region: e.region,
				usual: r.head.setting.usual[e.region]?.intake ?? 0,
				sessions: r.logs
					.filter((l) => l.exerciseId === e.id)
					.map(({ session }) => {
						const p = session.pains.find((x) => x.region === e.region);
						const next = r.mornings.find((m) => m.region === e.region && m.date === addDays(session.date, 1));
						return { date: session.date, before: p?.before ?? null, peak: p?.peak ?? null, after: p?.after ?? null, next: next?.pain ?? null };
					})
			})),
			mornings: regionsOf(r).flatMap((region) => {
				const { intake, longStanding = false } = r.head.setting.usual[region] ?? {};
				if (intake === undefined) return [];
				const populations = painPopulations(region, { frontOfKnee: r.head.setting.frontOfKnee, longStanding });
				return [{ region, intake, populations, change: changeOf({ from: intake, to: usualNow(r, region, ctx.today), better: 'lower' }, painChangesFor(populations)) }];
			}),
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
