import { fileTypeFromBuffer } from 'file-type';
import { correctForm, parseCorrection, takeOutForm } from '#lib/contract/entry.ts';
import { askErasureForm } from '#lib/contract/record-end-form.ts';
import { agreedIn, daysIn, HOME_KIT, homeForm, kitIn } from '#lib/contract/register-form.ts';
import { agreedTo, CONSENT_PURPOSES } from '#lib/core/client/consent.ts';
import { attachmentForm } from '#lib/contract/history-form.ts';
import { attach } from '#lib/server/usecase/attach.ts';
import { askErasure, erasureAskedBy } from '#lib/server/usecase/erase-client.ts';
import { changeHome } from '#lib/server/usecase/change-home.ts';
import { intakeShown } from '#lib/server/usecase/intake-shown.ts';
import { correctPerson } from '#lib/server/usecase/correct-person.ts';
import { correctEntry } from '#lib/server/usecase/correct-entry.ts';
import { ENTRY_KINDS } from '#lib/core/client/entry-kind.ts';
import { contactForm, noteForm, personForm } from '#lib/contract/note-form.ts';
import { regionsOf } from '#lib/server/record/facts-of.ts';
import { setContact, writeNote } from '#lib/server/usecase/write-note.ts';
import { shortDay } from '#lib/wording/days.ts';
import { flagName } from '#lib/wording/screening.ts';
import { regionName } from '#lib/wording/names.ts';
import { visitsOf } from '#lib/server/view/visits.ts';
import { clientPage, contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { refusal, refuseAll, refuseShape } from '#lib/server/http/respond.ts';
import { contactsOf, entryViews, PAGE_SIZE, visitNotes } from '#lib/server/usecase/show-entries.ts';
import { takeOutEntry } from '#lib/server/usecase/take-out.ts';
import type { Intake } from '#lib/server/usecase/intake-shown.ts';
import type { ClientRecord } from '#lib/server/record/load.ts';
import type { Actions, PageServerLoad } from './$types';

/** As it stands in the address; anything else is the beginning, and every kind. */
const pageOf = (text: string | null): number => {
	const n = Number(text ?? '1');
	return Number.isInteger(n) && n >= 1 && n <= 10_000 ? n : 1;
};

/** Visits that a note can be about. */
const LATEST_VISITS = 12;

/** What a note can be about, beside the client. */
const aboutOf = (r: ClientRecord) => [
	...regionsOf(r).map((region) => ({ value: `region:${region}`, name: regionName(region) })),
	...r.everGiven.map((e) => ({
		value: `exercise:${e.id}`,
		name: e.prescriptions.at(-1)?.snapshot.title ?? e.family
	})),
	...r.head.flags.map((f) => ({
		value: `flag:${f.id}`,
		name: `flag: ${flagName(f.code)}${f.open ? '' : ', closed'}`
	})),
	...visitsOf(r)
		.slice(0, LATEST_VISITS)
		.map((v) => ({ value: `visit:${v.id}`, name: `session of ${shortDay(v.day)}` }))
];

/** What is at home and when there is time, and what was agreed to with its day. */
function homeShown(r: ClientRecord, said: Intake['consents']) {
	const { homeKit, homeHeights, days, minutes } = r.head.setting;
	const agreed = agreedTo(said);
	return {
		...{ homeKit, homeHeights, days, minutes, kit: HOME_KIT, tz: r.head.tz },
		consents: CONSENT_PURPOSES.map((purpose) => ({
			purpose,
			given: agreed.has(purpose),
			day: said.findLast((c) => c.purpose === purpose)?.day ?? null
		}))
	};
}

export const load: PageServerLoad = ({ locals, params, url }) =>
	clientPage(locals, params.id, 'record', async (r, t, ctx) => {
		const at = pageOf(url.searchParams.get('page'));
		const kind = ENTRY_KINDS.find((k) => k === url.searchParams.get('kind'));
		const byVisit = url.searchParams.get('kind') === 'visits';
		const from = (at - 1) * PAGE_SIZE;
		return {
			...(await entryViews(t, params.id, ctx.actor, {
				from,
				...(kind === undefined ? {} : { only: kind })
			})),
			at,
			kind: byVisit ? 'visits' : (kind ?? ''),
			visits: byVisit ? visitsOf(r, await visitNotes(t, params.id)) : null,
			ids: formIds(ctx, PAGE_SIZE),
			rightIds: formIds(ctx, PAGE_SIZE),
			noteId: formIds(ctx, 1)[0] as string,
			contactId: formIds(ctx, 1)[0] as string,
			attachId: formIds(ctx, 1)[0] as string,
			personId: formIds(ctx, 1)[0] as string,
			person: { name: r.head.name, born: r.head.born, sex: r.head.sex, occupation: r.head.occupation },
			homeId: formIds(ctx, 1)[0] as string,
			home: homeShown(r, (await intakeShown(t, params.id)).consents),
			contacts: await contactsOf(t, params.id),
			eraseId: formIds(ctx, 1)[0] as string,
			eraseAsked: await erasureAskedBy(t, params.id),
			about: aboutOf(r)
		};
	});

export const actions: Actions = {
	note: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = noteForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await writeNote(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok ? { done: 'The note stands in the record.' } : refusal(form, done.refusal);
	},
	contact: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = contactForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await setContact(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok ? { done: 'The number is kept.' } : refusal(form, done.refusal);
	},
	person: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = personForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { sex, occupation, ...x } = parsed.data;
		const done = await correctPerson(contextIn(locals), {
			...x,
			sex: sex === '' ? null : sex,
			occupation: occupation === '' ? null : occupation,
			clientId: params.id
		});
		return done.ok
			? { done: 'Put right, with your reason. What stood before is kept as a note.' }
			: refusal(form, done.refusal);
	},
	home: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = homeForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await changeHome(contextIn(locals), {
			id: parsed.data.id,
			clientId: params.id,
			homeKit: kitIn(form),
			homeHeights: { seats: parsed.data.seats, steps: parsed.data.steps },
			tz: parsed.data.tz,
			days: daysIn(form),
			minutes: parsed.data.minutes ?? null,
			agreed: agreedIn(form)
		});
		return done.ok
			? { done: 'Kept. What is offered at home follows; what was agreed to before stays in the record.' }
			: refusal(form, done.refusal);
	},
	erase: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = askErasureForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await askErasure(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok
			? { done: 'Asked for. A second person agrees under Practice, Records.' }
			: refusal(form, done.refusal);
	},
	correct: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = correctForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { sure, ...x } = parsed.data;
		const right = parseCorrection(x.kind, new Map([...form].map(([k, v]) => [k, String(v)])));
		if (!right.ok) return refuseAll(form, right.issues);
		const done = await correctEntry(contextIn(locals), {
			...x,
			values: right.value,
			sure: sure === 'on',
			clientId: params.id
		});
		return done.ok
			? { done: 'Put right, with your reason. What stood before stays here to be read.' }
			: refusal(form, done.refusal);
	},
	attach: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = attachmentForm.safeParse(Object.fromEntries([...form].filter(([k]) => k !== 'file')));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const file = form.get('file');
		const bytes = file instanceof File ? Buffer.from(await file.arrayBuffer()) : Buffer.alloc(0);
		const done = await attach(contextIn(locals), {
			...parsed.data,
			clientId: params.id,
			media: (await fileTypeFromBuffer(bytes))?.mime,
			bytes
		});
		return done.ok ? { done: `Kept: ${parsed.data.title}.` } : refusal(form, done.refusal);
	},
	out: async ({ request, locals, params }) => {
		const form = await formOf(request);
		const parsed = takeOutForm.safeParse(Object.fromEntries(form));
		if (!parsed.success) return refuseShape(form, parsed.error);
		const done = await takeOutEntry(contextIn(locals), { ...parsed.data, clientId: params.id });
		return done.ok
			? {
					done: 'Taken out, with your reason. It stays here to be read; enter what is right where it belongs.'
				}
			: refusal(form, done.refusal);
	}
};
