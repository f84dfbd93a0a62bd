import { mirrored } from '#lib/core/body/region-side.ts';
import { inOrder } from '#lib/core/exercise/plan-order.ts';
import { spotForm } from '#lib/contract/spot-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { refusal, refuseShape } from '#lib/server/http/respond.ts';
import { cardOn, ownLaddersOf, treatsBack } from '#lib/server/record/facts-of.ts';
import { fitContextOf } from '#lib/server/record/fit-of.ts';
import { sessionTyped } from '#lib/server/usecase/log-session.ts';
import { onTheSpot } from '#lib/server/usecase/on-the-spot.ts';
import { typedForm } from '#lib/server/usecase/told-command.ts';
import { toLog } from '#lib/server/view/to-log.ts';
import { easyText, hurtsText } from '#lib/wording/on-the-spot.ts';
import { alarmText } from '#lib/wording/safety.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'session', (r, _, ctx) => {
		const exercises = toLog(r, ctx.today, formIds(ctx, 2 * r.exercises.length));
		const order = r.head.planOrder?.groups ?? null;
		const card = cardOn(r, ctx.today);
		// Work of both legs asks pain for the other side too.
		const regions = new Set(
			exercises.flatMap((e) => {
				const other = e.head?.particulars.painPerSide === true ? mirrored(e.region) : undefined;
				return other === undefined ? [e.region] : [e.region, other];
			})
		);
		return {
			exercises: inOrder(
				exercises.map((e) => ({ ...e, exerciseId: e.id })),
				order
			),
			regions: [...regions].sort(),
			before: Object.fromEntries((card?.pains ?? []).map((p) => [p.region, p.now ?? null])),
			loggedToday: r.logs.filter((l) => l.session.date === ctx.today).map((l) => l.exerciseId),
			ctx: fitContextOf(r, ctx.today),
			own: ownLaddersOf(r),
			treatsBack: treatsBack(r),
			ids: formIds(ctx, 2)
		};
	});

export const actions: Actions = {
	log: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const done = await sessionTyped(contextIn(locals), typedForm(params.id, form));
		if (!done.ok) return refusal(form, done.refusal);
		const { logged, raised, againstAdvice } = done.value;
		const against =
			againstAdvice === 0
				? ''
				: ` ${againstAdvice} of them against advice: for pain and alarms, not for an advance.`;
		return {
			done: `Logged ${logged === 1 ? 'one exercise' : `${logged} exercises`}. The next morning decides with it.${against}`,
			alarms: raised.map(alarmText),
			emergency: raised.some((a) => a.now === 'emergency')
		};
	},
	spot: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const ctx = contextIn(locals);
		const parsed = spotForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		// Where it is not easy the form has asked how much it hurts.
		const { exerciseId, easy, pain = 0, painAt } = parsed.data;
		const asked = easy === 'on' ? { easy: true as const } : { pain, ...(painAt === '' ? {} : { painAt }) };
		const done = await onTheSpot(ctx, params.id, exerciseId, asked);
		if (!done.ok) return refusal(form, done.refusal);
		const answered = done.value;
		if (!('answer' in answered))
			return { spot: { kind: 'plain' as const, text: easyText(answered, ctx.today), given: null } };
		const kind = { stop: 'stop', gentler: 'caution', 'go-on': 'plain' } as const;
		return {
			spot: {
				kind: kind[answered.answer],
				text: hurtsText(answered, pain, ctx.today),
				given: answered.answer === 'gentler' ? (answered.change?.result ?? null) : null
			}
		};
	}
};
