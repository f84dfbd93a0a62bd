import { addDays } from '#lib/core/base/calendar-day.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { morningTyped } from '#lib/server/usecase/check-in.ts';
import { typedForm } from '#lib/server/usecase/told-command.ts';
import { alarmText, closesText, isGrave } from '#lib/wording/safety.ts';
import { regionsOf } from '#lib/server/record/facts-of.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'mornings', (r, _, ctx) => {
		const regions = regionsOf(r);
		const ids = formIds(ctx, 2 * regions.length + 2);
		const first = addDays(ctx.today, -13);
		return {
			regions: regions.map((region, i) => ({
				...{ region, id: ids[i] as string },
				eveningId: ids[regions.length + 2 + i] as string
			})),
			eventId: ids[regions.length] as string,
			id: ids[regions.length + 1] as string,
			provocation: r.policy.morningRule === 'provocation',
			mornings: r.mornings.filter((m) => m.date >= first),
			evenings: r.told.filter((x) => x.moment === 'evening' && x.date >= first),
			sore: r.told.filter((x) => x.moment === 'morning' && x.date >= first),
			sessions: r.logs.map((l) => l.session.date).filter((d) => d >= first)
		};
	});

export const actions: Actions = {
	default: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const done = await morningTyped(contextIn(locals), typedForm(params.id, form));
		if (!done.ok) return refusal(form, done.refusal);
		const { corrected, raised, closes, fever } = done.value;
		const advice = [
			...raised.map(alarmText),
			...(fever ? ['Fever or ill: no exercise today.'] : []),
			...(closes.length === 0 ? [] : [`${closesText(closes)}. Relief and other regions go on.`])
		];
		return {
			done: corrected ? 'Corrected; the earlier entry is kept beside it.' : 'Entered.',
			advice,
			grave: isGrave(raised)
		};
	}
};
