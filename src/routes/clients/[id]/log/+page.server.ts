import { z } from 'zod';
import { legsOf } from '#lib/core/body/axis.ts';
import { stepAnywhere } from '#lib/core/exercise/family.ts';
import { isOneSided } from '#lib/core/movement/of-step.ts';
import { text, uuid } from '#lib/contract/basics.ts';
import { parseLog } from '#lib/contract/log-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { orError, refusal, refuseAll, refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { logVisit } from '#lib/server/usecase/log-visit.ts';
import { voidLog } from '#lib/server/usecase/void-log.ts';
import { showClient } from '#lib/server/usecase/show-client.ts';
import { moreUprightDeg } from '#lib/core/fit/more-upright.ts';
import { lighterDose } from '#lib/core/decision/arrival.ts';
import { closedToday } from '#lib/core/decision/closed-today.ts';
import type { Reason } from '#lib/core/decision/trace.ts';
import { advancesToday, boundOn, cardOn } from '#lib/server/record/facts-of.ts';
import { slipOf } from '#lib/server/record/slip-of.ts';
import { fitContextOf, standingOf } from '#lib/server/record/fit-of.ts';
import { reasonText } from '#lib/wording/decision.ts';
import { closedText } from '#lib/wording/intake.ts';
import { alarmText, standingSentence } from '#lib/wording/safety.ts';
import { uprightText } from '#lib/wording/setup.ts';
import type { Actions, PageServerLoad } from './$types';

/** What an advance still needs, said before logging: what this session can still give. */
const GIVEN_BY_A_SESSION = new Set([
	'observed',
	'streak.days',
	'clean',
	'confidence',
	'soreness.known',
	'ease'
]);
const stillNeeded = (why: readonly Reason[], today: string): readonly string[] =>
	[
		...new Set(why.filter((w) => !w.met && GIVEN_BY_A_SESSION.has(w.code)).map((w) => reasonText(w, today)))
	].slice(0, 3);

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'log', (r, _, ctx) => {
		const bound = boundOn(r, ctx.today);
		const card = cardOn(r, ctx.today);
		return {
			exercises: r.exercises.map((e) => {
				const head = e.prescriptions[e.prescriptions.length - 1];
				const [id, visitId] = formIds(ctx, 2);
				const step = head === undefined ? undefined : stepAnywhere(r.families, head.step);
				// Where one leg works at a time the other is logged beside it: gates compare the two.
				const legs = step === undefined || !isOneSided(step.posture) ? null : legsOf(e.side);
				const stands = standingOf(r, e, ctx.today);
				const closed = closedToday(bound, { region: e.region, tags: step?.tags ?? [] });
				const share = closed.length === 0 ? (bound?.setsShare ?? 1) : 1;
				const needs = slipOf(r, e, ctx.today, advancesToday(r, ctx.today)).trace.considered.find(
					(c) => c.rule === 'advance'
				);
				const known = r.head.known
					.filter((k) => k.region === e.region && k.until >= ctx.today)
					.map((k) => k.symptom);
				const now = card?.pains.find((p) => p.region === e.region)?.now;
				return {
					known,
					now: now ?? null,
					needs: stillNeeded(needs?.why ?? [], ctx.today),
					held:
						stands?.verdict === 'suspended'
							? { by: 'standing' as const, text: standingSentence(stands) }
							: closed.length > 0
								? { by: 'day' as const, text: closedText(closed) }
								: null,
					today: head === undefined ? null : lighterDose(head.dose, share),
					lighter: share < 1,
					upright:
						step === undefined || head === undefined
							? ''
							: uprightText(moreUprightDeg(step, fitContextOf(r, ctx.today, e.side), head.setup)),
					id: e.id,
					region: e.region,
					legs,
					head:
						head === undefined
							? null
							: {
									id: head.id,
									step: head.step,
									dose: head.dose,
									setup: head.setup,
									snapshot: head.snapshot,
									state: head.state
								},
					ids: { id: id as string, visitId: visitId as string }
				};
			}),
			voidId: formIds(ctx, 1)[0] as string,
			recent: r.logs
				.slice(-4)
				.reverse()
				.map((l) => ({
					id: l.id,
					mine: l.writtenBy === ctx.actor.memberId || ctx.actor.licensed,
					date: l.session.date,
					sets: l.session.sets.length,
					reps: l.session.sets[0]?.reps ?? 0,
					peak: l.session.pains[0]?.peak ?? null,
					against: l.session.againstAdvice === true
				}))
		};
	});

export const actions: Actions = {
	log: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const ctx = contextIn(locals);
		const { record } = orError(await showClient(ctx, params.id, 'log a session', () => null, 'log visit'));
		const prescribed = record.everGiven
			.flatMap((e) => e.prescriptions)
			.find((p) => p.id === form.get('prescriptionId'));
		if (prescribed === undefined)
			return refuseField(form, 'prescriptionId', 'This prescription is not this client’s; reload the page.');
		const bound = boundOn(record, String(form.get('day') ?? ''));
		const region = record.everGiven.find((e) => e.prescriptions.includes(prescribed))?.region ?? '';
		const tags = stepAnywhere(record.families, prescribed.step)?.tags ?? [];
		const share = closedToday(bound, { region, tags }).length > 0 ? 1 : (bound?.setsShare ?? 1);
		const parsed = parseLog(form, lighterDose(prescribed.dose, share));
		if (!parsed.ok) return refuseAll(form, parsed.issues);
		const done = await logVisit(ctx, { ...parsed.value, clientId: params.id });
		if (!done.ok) return refusal(form, done.refusal);
		const { raised, againstAdvice } = done.value;
		return {
			done: againstAdvice
				? 'Logged, against advice: it counts for pain and alarms, not for an advance.'
				: 'Logged. The next morning decides with it.',
			alarms: raised.map(alarmText),
			emergency: raised.some((a) => a.now === 'emergency')
		};
	},
	void: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = z.object({ id: uuid, logId: uuid, reason: text(200) }).safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await voidLog(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok
			? {
					done: 'Taken out. The entry is kept beside it, with your reason.',
					alarms: [] as string[],
					emergency: false
				}
			: refusal(form, done.refusal);
	}
};
