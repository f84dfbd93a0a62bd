import { parseLog } from '#lib/contract/log-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { orError, refusal, refuseField } from '#lib/server/http/respond.ts';
import { logVisit } from '#lib/server/usecase/log-visit.ts';
import { showClient } from '#lib/server/usecase/show-client.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'log', (r, _, ctx) => ({
		exercises: r.exercises.map((e) => {
			const head = e.prescriptions[e.prescriptions.length - 1];
			const [id, visitId] = formIds(ctx, 2);
			return { id: e.id, region: e.region, head: head === undefined ? null : { id: head.id, step: head.step, dose: head.dose, setup: head.setup, snapshot: head.snapshot, state: head.state }, ids: { id: id as string, visitId: visitId as string } };
		}),
		treatsBack: r.exercises.some((e) => e.region.startsWith('back')),
		recent: r.logs.slice(-4).map((l) => ({ id: l.id, date: l.session.date, sets: l.session.sets.length, reps: l.session.sets[0]?.reps ?? 0, peak: l.session.pains[0]?.peak ?? null }))
	}));

export const actions: Actions = {
	default: async ({ request, locals, params }) => {
		const form = await request.formData();
		const ctx = contextIn(locals);
		const { record } = orError(await showClient(ctx, params.id, 'log a session', () => null, 'log visit'));
		const prescribed = record.exercises.flatMap((e) => e.prescriptions).find((p) => p.id === form.get('prescriptionId'));
		if (prescribed === undefined) return refuseField(form, 'prescriptionId', 'This prescription is not this client’s; reload the page.');
		const parsed = parseLog(form, prescribed.dose);
		if (!parsed.ok) return refuseField(form, parsed.field, parsed.message);
		const done = await logVisit(ctx, { ...parsed.value, clientId: params.id });
		return done.ok ? { done: 'Logged. The next morning decides with it.', emergency: done.value.emergency } : refusal(form, done.refusal);
	}
};
