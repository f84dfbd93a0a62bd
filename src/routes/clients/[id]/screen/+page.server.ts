import { SCREENING } from '#lib/catalogue/screening.ts';
import { screenDue, unanswered } from '#lib/core/client/screening.ts';
import { closeFlagForm, MOST_LIMITS, parseAnswers, parseLimits, protocolForm, surgeryForm } from '#lib/contract/screen-form.ts';
import { uuid } from '#lib/contract/basics.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { catchConflict, refusal, refuseField } from '#lib/server/http/respond.ts';
import { closeFlag, enterProtocol, liftLimit, recordSurgery, screenClient } from '#lib/server/usecase/safety.ts';
import { flagName } from '#lib/wording/screening.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'screening', (r, _, ctx) => {
		const { screening, flags, surgery, limits } = r.head;
		return {
			ids: formIds(ctx, 4 + MOST_LIMITS),
			// Answers of an earlier day are shown, not filled in: every screening is asked anew.
			answers: screening?.date === ctx.today ? screening.answers : {},
			before: screening?.answers ?? {},
			screened: screening === null ? null : { date: screening.date, complete: screening.complete, due: screenDue(screening.date, r.policy.screeningDays), open: unanswered(SCREENING, screening.answers).map((c) => c.name) },
			closed: flags.filter((f) => !f.open).map((f) => ({ id: f.id, name: flagName(f.code), day: f.day, closedOn: f.closedOn, closing: f.closing })),
			surgery,
			limits
		};
	});

const fields = (form: FormData): ReadonlyMap<string, string> => new Map([...form].map(([k, v]) => [k, String(v)]));

export const actions: Actions = {
	screen: async ({ request, locals, params }) => {
		const form = await request.formData();
		const ctx = contextIn(locals);
		const id = uuid.safeParse(form.get('id'));
		const answers = parseAnswers(fields(form), SCREENING);
		if (!id.success) return refuseField(form, '', 'The form has lost its ids; reload the page.');
		if (!answers.ok) return refuseField(form, answers.refusal.field ?? '', answers.refusal.message);
		const done = await screenClient(ctx, { id: id.data, clientId: params.id, day: ctx.today, answers: answers.value });
		if (!done.ok) return refusal(form, done.refusal);
		const { complete, raised } = done.value;
		const opened = raised.length === 0 ? 'No new flag.' : `Opened: ${raised.map((f) => flagName(f.code)).join(', ')}.`;
		return { done: `${complete ? 'Screened.' : 'Saved, with questions still open; nothing is decided before they are answered.'} ${opened}`, emergency: raised.some((f) => f.urgency === 'emergency') };
	},
	close: async ({ request, locals, params }) => {
		const form = await request.formData();
		const parsed = closeFlagForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseField(form, String(parsed.error.issues[0]?.path[0] ?? ''), parsed.error.issues[0]?.message ?? '');
		const { id, flagId, how, note, clearedBy, clearedOn, document } = parsed.data;
		const done = await closeFlag(contextIn(locals), { id, flagId, clientId: params.id, note, ...(how === 'external' ? { clearance: { by: clearedBy, on: clearedOn, document } } : {}) });
		return done.ok ? { done: 'Flag closed; it stays in the record with who closed it.' } : refusal(form, done.refusal);
	},
	surgery: async ({ request, locals, params }) => {
		const form = await request.formData();
		const parsed = surgeryForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseField(form, String(parsed.error.issues[0]?.path[0] ?? ''), parsed.error.issues[0]?.message ?? '');
		const done = await recordSurgery(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok ? { done: 'Operation recorded. Everything waits until its protocol is entered.' } : refusal(form, done.refusal);
	},
	protocol: async ({ request, locals, params }) => {
		const form = await request.formData();
		const parsed = protocolForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseField(form, String(parsed.error.issues[0]?.path[0] ?? ''), parsed.error.issues[0]?.message ?? '');
		const limits = parseLimits(fields(form));
		if (!limits.ok) return refuseField(form, limits.refusal.field ?? '', limits.refusal.message);
		const { reviewOn, ...protocol } = parsed.data;
		const done = await catchConflict(() => enterProtocol(contextIn(locals), { ...protocol, clientId: params.id, limits: limits.value, ...(reviewOn === '' ? {} : { reviewOn }) }));
		return done.ok ? { done: `Protocol entered with ${limits.value.length} ${limits.value.length === 1 ? 'limit' : 'limits'}.` } : refusal(form, done.refusal);
	},
	lift: async ({ request, locals, params }) => {
		const form = await request.formData();
		const [id, limitId] = ['id', 'limitId'].map((k) => uuid.safeParse(form.get(k)).data);
		if (id === undefined || limitId === undefined) return refuseField(form, '', 'The form has lost its ids; reload the page.');
		const done = await liftLimit(contextIn(locals), { id, clientId: params.id, limitId, reason: String(form.get('reason') ?? '').slice(0, 300).replaceAll('\0', '') });
		return done.ok ? { done: 'Limit lifted.' } : refusal(form, done.refusal);
	}
};
