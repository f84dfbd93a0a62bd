import { SCREENING } from '#lib/catalogue/screening.ts';
import { screenDue, unanswered } from '#lib/core/client/screening.ts';
import { phaseNow } from '#lib/core/client/protocol.ts';
import { present, uuid } from '#lib/contract/basics.ts';
import {
	confirmForm,
	limitForm,
	noLimitsForm,
	parsePhases,
	protocolForm,
	surgeryForm,
	windowOf,
	withdrawForm
} from '#lib/contract/protocol-form.ts';
import { closeFlagForm, knownForm, parseAnswers } from '#lib/contract/screen-form.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { refusal, refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { closeFlag } from '#lib/server/usecase/flags.ts';
import { knowSymptom, MAY_BE_KNOWN } from '#lib/server/usecase/known-symptom.ts';
import {
	confirmPhase,
	enterProtocol,
	liftLimit,
	recordNoLimits,
	recordSurgery,
	setLimit,
	withdrawSurgery
} from '#lib/server/usecase/protocols.ts';
import { regionsOf } from '#lib/server/record/facts-of.ts';
import { screenClient } from '#lib/server/usecase/screen-client.ts';
import { flagName } from '#lib/wording/screening.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = ({ locals, params }) =>
	clientPage(locals, params.id, 'screening', (r, _, ctx) => {
		const { screening, flags, surgery, limits } = r.head;
		return {
			ids: formIds(ctx, 6),
			// Answers of an earlier day are shown, not filled in: every screening is asked anew.
			answers: screening?.date === ctx.today ? screening.answers : {},
			before: screening?.answers ?? {},
			screened:
				screening === null
					? null
					: {
							date: screening.date,
							complete: screening.complete,
							due: screenDue(screening.date, r.policy.screeningDays),
							open: unanswered(SCREENING, screening.answers).map((c) => c.name)
						},
			closed: flags
				.filter((f) => !f.open)
				.map((f) => ({
					id: f.id,
					name: flagName(f.code),
					day: f.day,
					closedOn: f.closedOn,
					closing: f.closing
				})),
			surgery: surgery.map((o) => ({
				...o,
				now:
					o.protocol === null
						? null
						: phaseNow({ region: o.region, date: o.date, phases: o.protocol.phases }, ctx.today)
			})),
			limits,
			known: r.head.known.filter((k) => k.until >= ctx.today),
			mayBeKnown: MAY_BE_KNOWN,
			regions: regionsOf(r)
		};
	});

const fields = (form: FormData): ReadonlyMap<string, string> =>
	new Map([...form].map(([k, v]) => [k, String(v)]));

export const actions: Actions = {
	screen: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const ctx = contextIn(locals);
		const id = uuid.safeParse(form.get('id'));
		const answers = parseAnswers(fields(form), SCREENING);
		if (!id.success) return refuseField(form, '', 'The form has lost its ids; reload the page.');
		if (!answers.ok) return refuseField(form, answers.refusal.field ?? '', answers.refusal.message);
		const done = await screenClient(ctx, {
			id: id.data,
			clientId: params.id,
			day: ctx.today,
			answers: answers.value
		});
		if (!done.ok) return refusal(form, done.refusal);
		const { complete, raised } = done.value;
		const opened =
			raised.length === 0 ? 'No new flag.' : `Opened: ${raised.map((f) => flagName(f.code)).join(', ')}.`;
		return {
			done: `${complete ? 'Screened.' : 'Saved, with questions still open; nothing is decided before they are answered.'} ${opened}`,
			emergency: raised.some((f) => f.urgency === 'emergency')
		};
	},
	close: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = closeFlagForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { id, flagId, how, note, clearedBy, clearedOn, document } = parsed.data;
		const done = await closeFlag(contextIn(locals), {
			id,
			flagId,
			clientId: params.id,
			note,
			...(how === 'external' ? { clearance: { by: clearedBy, on: clearedOn, document } } : {}),
			...(how === 'mistaken' ? { mistaken: true } : {})
		});
		return done.ok
			? { done: 'Flag closed; it stays in the record with who closed it.' }
			: refusal(form, done.refusal);
	},
	surgery: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = surgeryForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await recordSurgery(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok
			? { done: 'Operation recorded. Everything waits until its protocol is entered.' }
			: refusal(form, done.refusal);
	},
	protocol: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = protocolForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const phases = parsePhases(form);
		if (!phases.ok) return refuseField(form, phases.refusal.field ?? '', phases.refusal.message);
		const { reviewOn, ...protocol } = parsed.data;
		const done = await enterProtocol(contextIn(locals), {
			...protocol,
			clientId: params.id,
			phases: phases.value,
			...(reviewOn === '' ? {} : { reviewOn })
		});
		return done.ok
			? {
					done: `Protocol entered with ${phases.value.length} ${phases.value.length === 1 ? 'phase' : 'phases'}.`
				}
			: refusal(form, done.refusal);
	},
	'no-limits': async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = noLimitsForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await recordNoLimits(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok ? { done: 'Recorded, with whose word it is.' } : refusal(form, done.refusal);
	},
	confirm: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = confirmForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await confirmPhase(contextIn(locals), {
			...parsed.data,
			phase: Number(parsed.data.phase),
			clientId: params.id
		});
		return done.ok ? { done: `Phase ${parsed.data.phase} confirmed.` } : refusal(form, done.refusal);
	},
	withdraw: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = withdrawForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await withdrawSurgery(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok
			? { done: 'Withdrawn; it stays in the record with your reason.' }
			: refusal(form, done.refusal);
	},
	limit: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = limitForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error, 'limit.');
		const window = windowOf(parsed.data, 'limit');
		if (!window.ok) return refuseField(form, window.refusal.field ?? '', window.refusal.message);
		if (window.value === null) return refuseField(form, 'limit.maxDeg', 'Which movement, and how far?');
		const { id, source, reviewOn } = parsed.data;
		const done = await setLimit(contextIn(locals), {
			...present(window.value),
			id,
			source,
			clientId: params.id,
			...(reviewOn === '' ? {} : { reviewOn })
		});
		if (done.ok) return { done: 'Limit set.' };
		return refusal(form, { ...done.refusal, field: `limit.${done.refusal.field ?? ''}` });
	},
	known: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = knownForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await knowSymptom(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok ? { done: 'Agreed: as usual until then.' } : refusal(form, done.refusal);
	},
	lift: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const [id, limitId] = ['id', 'limitId'].map((k) => uuid.safeParse(form.get(k)).data);
		if (id === undefined || limitId === undefined)
			return refuseField(form, '', 'The form has lost its ids; reload the page.');
		const done = await liftLimit(contextIn(locals), {
			id,
			clientId: params.id,
			limitId,
			reason: String(form.get('reason') ?? '')
				.slice(0, 300)
				.replaceAll('\0', '')
		});
		return done.ok ? { done: 'Limit lifted.' } : refusal(form, done.refusal);
	}
};
