import { z } from 'zod';
import { legsOf } from '#lib/core/body/axis.ts';
import { stepAnywhere } from '#lib/core/exercise/family.ts';
import { isOneSided } from '#lib/core/exercise/step-posture.ts';
import { text, uuid } from '#lib/contract/basics.ts';
import { parseLog } from '#lib/contract/log-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { orError, refusal, refuseField } from '#lib/server/http/respond.ts';
import { logVisit } from '#lib/server/usecase/log-visit.ts';
import { voidLog } from '#lib/server/usecase/void-log.ts';
import { showClient } from '#lib/server/usecase/show-client.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'log', (r, _, ctx) => ({
		exercises: r.exercises.map((e) => {
			const head = e.prescriptions[e.prescriptions.length - 1];
			const [id, visitId] = formIds(ctx, 2);
			const step = head === undefined ? undefined : stepAnywhere(r.families, head.step);
			// Where one leg works at a time the other is logged beside it: gates compare the two.
			const legs = step === undefined || !isOneSided(step.posture) ? null : legsOf(e.side);
			return { id: e.id, region: e.region, legs, head: head === undefined ? null : { id: head.id, step: head.step, dose: head.dose, setup: head.setup, snapshot: head.snapshot, state: head.state }, ids: { id: id as string, visitId: visitId as string } };
		}),
		treatsBack: r.exercises.some((e) => e.region.startsWith('back')),
		voidId: formIds(ctx, 1)[0] as string,
		recent: r.logs.slice(-4).reverse().map((l) => ({ id: l.id, mine: l.writtenBy === ctx.actor.memberId || ctx.actor.licensed, date: l.session.date, sets: l.session.sets.length, reps: l.session.sets[0]?.reps ?? 0, peak: l.session.pains[0]?.peak ?? null }))
	}));

export const actions: Actions = {
	log: async ({ request, locals, params }) => {
		const form = await request.formData();
		const ctx = contextIn(locals);
		const { record } = orError(await showClient(ctx, params.id, 'log a session', () => null, 'log visit'));
		const prescribed = record.exercises.flatMap((e) => e.prescriptions).find((p) => p.id === form.get('prescriptionId'));
		if (prescribed === undefined) return refuseField(form, 'prescriptionId', 'This prescription is not this client’s; reload the page.');
		const parsed = parseLog(form, prescribed.dose);
		if (!parsed.ok) return refuseField(form, parsed.field, parsed.message);
		const done = await logVisit(ctx, { ...parsed.value, clientId: params.id });
		return done.ok ? { done: 'Logged. The next morning decides with it.', emergency: done.value.emergency } : refusal(form, done.refusal);
	},
	void: async ({ request, locals, params }) => {
		const form = await request.formData();
		const parsed = z.object({ id: uuid, logId: uuid, reason: text(200) }).safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseField(form, 'reason', parsed.error.issues[0]?.message ?? '');
		const done = await voidLog(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok ? { done: 'Taken out. The entry is kept beside it, with your reason.', emergency: false } : refusal(form, done.refusal);
	}
};
