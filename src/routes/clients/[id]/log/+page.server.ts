import { z } from 'zod';
import { text, uuid } from '#lib/contract/basics.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { logTyped } from '#lib/server/usecase/log-visit.ts';
import { voidLog } from '#lib/server/usecase/void-log.ts';
import { typedForm } from '#lib/server/usecase/told-command.ts';
import { toLog } from '#lib/server/view/to-log.ts';
import { alarmText } from '#lib/wording/safety.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'log', (r, _, ctx) => {
		return {
			exercises: toLog(r, ctx.today, formIds(ctx, 2 * r.exercises.length)),
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
		const done = await logTyped(contextIn(locals), typedForm(params.id, form));
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
