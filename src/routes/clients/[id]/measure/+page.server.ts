import { parseSheet, bodyForm, wayForm } from '#lib/contract/measure-form.ts';
import { AXES, SIDES } from '#lib/core/body/axis.ts';
import { bodyOf } from '#lib/core/body/body.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { orError, refusal, refuseField } from '#lib/server/http/respond.ts';
import { changeSetting } from '#lib/server/usecase/change-setting.ts';
import { fitContextOf } from '#lib/server/usecase/record.ts';
import { saveMeasurements } from '#lib/server/usecase/save-measurements.ts';
import { showClient } from '#lib/server/usecase/show-client.ts';
import { AXIS_NAME } from '#lib/wording/names.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'measure sheet', (r, _, ctx) => ({
		ids: formIds(ctx, 8),
		licensed: ctx.actor.licensed,
		latest: AXES.flatMap((axis) => SIDES.flatMap((side) => r.measurements.filter((m) => m.axis === axis && m.side === side).slice(-1))),
		ctx: fitContextOf(r, ctx.today),
		body: r.head.setting
	}));

export const actions: Actions = {
	ranges: async ({ request, locals, params }) => {
		const form = await request.formData();
		const ctx = contextIn(locals);
		const { record } = orError(await showClient(ctx, params.id, 'measure', () => null, 'measure'));
		const sheet = parseSheet(new Map([...form].map(([k, v]) => [k, String(v)])), record.body, AXIS_NAME);
		if (!sheet.ok) return refuseField(form, sheet.refusal.field ?? '', sheet.refusal.message);
		const saved = await saveMeasurements(ctx, params.id, sheet.value.day, sheet.value.values);
		return saved.ok ? { done: `Saved ${saved.value} ${saved.value === 1 ? 'range' : 'ranges'}.` } : refusal(form, saved.refusal);
	},
	way: async ({ request, locals, params }) => {
		const form = await request.formData();
		const parsed = wayForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseField(form, String(parsed.error.issues[0]?.path[0] ?? ''), parsed.error.issues[0]?.message ?? '');
		const { id, technique, policyId } = parsed.data;
		const saved = await changeSetting(contextIn(locals), params.id, id, { technique: technique === '' ? null : technique, policyId });
		return saved.ok ? { done: 'Saved technique and policy.' } : refusal(form, saved.refusal);
	},
	body: async ({ request, locals, params }) => {
		const form = await request.formData();
		const parsed = bodyForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseField(form, String(parsed.error.issues[0]?.path[0] ?? ''), parsed.error.issues[0]?.message ?? '');
		const { id, heightCm, massKg, shankCm, thighCm } = parsed.data;
		const body = bodyOf({ heightCm: heightCm as number, massKg: massKg as number });
		if (!body.ok) return refuseField(form, body.refusal.field ?? '', body.refusal.message);
		const saved = await changeSetting(contextIn(locals), params.id, id, { heightCm: heightCm as number, massKg: massKg as number, shankCm: shankCm ?? null, thighCm: thighCm ?? null });
		return saved.ok ? { done: 'Saved the body.' } : refusal(form, saved.refusal);
	}
};
