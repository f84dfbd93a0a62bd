import { bodyForm, wayForm } from '#lib/contract/measure-form.ts';
import { FUNCTION_TESTS } from '#lib/catalogue/function-tests.ts';
import { ageOn } from '#lib/core/base/calendar-day.ts';
import { SIDES } from '#lib/core/body/axis.ts';
import { RANGE_IDS } from '#lib/core/measure/range-kind.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { changeSetting } from '#lib/server/usecase/change-setting.ts';
import { testsShown } from '#lib/server/usecase/intake-shown.ts';
import { sheetTyped } from '#lib/server/usecase/save-sheet.ts';
import { typedForm } from '#lib/server/usecase/told-command.ts';
import { regionsOf } from '#lib/server/record/facts-of.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'measure sheet', async (r, t, ctx) => {
		const { results, totals } = await testsShown(t, params.id);
		const { heightCm, massKg } = r.head.setting;
		const lastOf = (axis: (typeof RANGE_IDS)[number], side: (typeof SIDES)[number]) =>
			r.measurements.filter((m) => m.axis === axis && m.side === side).pop();
		return {
			ids: formIds(ctx, 2 * RANGE_IDS.length + 2 * FUNCTION_TESTS.length + 4),
			licensed: ctx.actor.licensed,
			last: Object.fromEntries(
				RANGE_IDS.map((axis) => [
					axis,
					Object.fromEntries(
						SIDES.flatMap((side) => {
							const m = lastOf(axis, side);
							return m === undefined ? [] : [[side, m] as const];
						})
					)
				])
			),
			tests: results.map(({ test, side, value, day }) => ({ test, side, value, day })),
			totals,
			who: { age: ageOn(r.head.born, ctx.today), sex: r.head.sex, heightCm, massKg },
			regions: regionsOf(r),
			body: r.body,
			setting: r.head.setting
		};
	});

export const actions: Actions = {
	sheet: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const saved = await sheetTyped(contextIn(locals), typedForm(params.id, form));
		return saved.ok
			? { done: `Saved ${saved.value} ${saved.value === 1 ? 'reading' : 'readings'}.` }
			: refusal(form, saved.refusal);
	},
	way: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = wayForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { id, technique, policyId, brace } = parsed.data;
		const saved = await changeSetting(contextIn(locals), params.id, id, {
			technique: technique === '' ? null : technique,
			policyId,
			brace
		});
		return saved.ok ? { done: 'Saved technique, brace and policy.' } : refusal(form, saved.refusal);
	},
	body: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = bodyForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { id, heightCm, massKg, ...segments } = parsed.data;
		const { shankCm = null, thighCm = null, trunkCm = null, footCm = null, shoeHeelCm = null } = segments;
		const saved = await changeSetting(contextIn(locals), params.id, id, {
			heightCm: heightCm as number,
			massKg: massKg as number,
			shankCm,
			thighCm,
			trunkCm,
			footCm,
			shoeHeelCm
		});
		return saved.ok ? { done: 'Saved the body.' } : refusal(form, saved.refusal);
	}
};
