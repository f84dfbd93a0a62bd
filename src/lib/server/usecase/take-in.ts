/**
 * Takes in one thing that a client's page kept while there was no network: a session, a morning, symptoms, how they came. It is the form it would have been, read by
 * the same readers and done by the same commands, so that late is the same as at once and twice is the same as once. What cannot be taken is parked with why,
 * and keeps nothing else waiting.
 */
import { z } from 'zod';
import { arrivalOf, arriveForm } from '#lib/contract/ask-form.ts';
import { day, region, typedWhole, uuid } from '#lib/contract/basics.ts';
import { type OutboxItem, type Sent } from '#lib/contract/mine.ts';
import { NOTHING_SAID, type Answered } from '#lib/contract/mine-kept.ts';
import { parseEvening } from '#lib/contract/evening-form.ts';
import { parseMorning } from '#lib/contract/morning-form.ts';
import { parseWholeSession } from '#lib/contract/whole-session-form.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Raised } from '#lib/core/safety/alarm.ts';
import { SYMPTOMS } from '#lib/core/session/record.ts';
import { regionName } from '#lib/wording/names.ts';
import { alarmText } from '#lib/wording/safety.ts';
import { regionsOf } from '../record/facts-of.ts';
import { givenOn } from '../record/given-on.ts';
import type { ClientRecord } from '../record/load.ts';
import { arrive } from './arrive.ts';
import { inZone, notFound, type Context, type Outcome } from './actor.ts';
import { checkIn } from './check-in.ts';
import { logSession } from './log-session.ts';
import { showClient } from './show-client.ts';
import { tellEvening } from './tell-evening.ts';
import { tellSymptoms } from './tell-symptoms.ts';

type Done = Outcome<Answered> | string;

const answered = (raised: readonly Raised[], more: Partial<Answered> = {}): Answered => ({
	...NOTHING_SAID,
	now: raised[0]?.now ?? null,
	alarms: raised.map(alarmText),
	...more
});
const first = (issues: readonly { readonly message: string }[]): string => issues[0]?.message ?? '';

async function session(ctx: Context, r: ClientRecord, form: FormData): Promise<Done> {
	const when = String(form.get('day') ?? '');
	const parsed = parseWholeSession(form, (id) => givenOn(r, id, when));
	if (!parsed.ok) return first(parsed.issues);
	const done = await logSession(ctx, { id: parsed.id, clientId: r.head.id, logs: parsed.logs });
	return done.ok ? { ok: true, value: answered(done.value.raised) } : done;
}

async function morning(ctx: Context, r: ClientRecord, form: FormData): Promise<Done> {
	const parsed = parseMorning(form, regionsOf(r), regionName);
	if (!parsed.ok) return first(parsed.issues);
	const done = await checkIn(ctx, { clientId: r.head.id, ...parsed.value });
	if (!done.ok) return done;
	const { raised, closes, fever } = done.value;
	return { ok: true, value: answered(raised, { closes: fever ? 'day' : closes }) };
}

async function evening(ctx: Context, r: ClientRecord, form: FormData): Promise<Done> {
	const parsed = parseEvening(form, regionsOf(r), regionName);
	if (!parsed.ok) return first(parsed.issues);
	const done = await tellEvening(ctx, { clientId: r.head.id, ...parsed.value });
	return done.ok ? { ok: true, value: answered([], { closes: done.value.closes }) } : done;
}

const symptomsForm = z.object({
	id: uuid,
	day,
	region,
	caudaEquina: z.enum(['yes', 'no', 'unknown']).optional()
});

async function symptoms(ctx: Context, r: ClientRecord, form: FormData): Promise<Done> {
	const parsed = symptomsForm.safeParse(Object.fromEntries([...form].filter(([k]) => k !== 'symptoms')));
	if (!parsed.success) return first(parsed.error.issues);
	const told = SYMPTOMS.filter((s) => form.getAll('symptoms').includes(s));
	if (told.length !== form.getAll('symptoms').length || told.length === 0)
		return 'Say which of the list it is.';
	const { caudaEquina, ...own } = parsed.data;
	const done = await tellSymptoms(ctx, {
		...{ ...own, clientId: r.head.id, symptoms: told },
		...(caudaEquina === undefined ? {} : { caudaEquina })
	});
	return done.ok ? { ok: true, value: answered(done.value) } : done;
}

async function arrival(ctx: Context, r: ClientRecord, form: FormData): Promise<Done> {
	const parsed = arriveForm.safeParse(Object.fromEntries(form));
	const when = day.safeParse(form.get('day'));
	if (!parsed.success || !when.success)
		return first([...(parsed.error?.issues ?? []), ...(when.error?.issues ?? [])]);
	if (when.data > ctx.today) return `The day ${when.data} has not come yet; today is ${ctx.today}.`;
	const pains: Record<string, number> = {};
	for (const [key, value] of form) {
		if (!key.startsWith('pain.')) continue;
		const pain = typedWhole('Pain now', 0, 10).safeParse(String(value));
		if (!pain.success) return first(pain.error.issues);
		if (pain.data !== undefined) pains[key.slice('pain.'.length)] = pain.data;
	}
	const done = await arrive(ctx, { ...arrivalOf(parsed.data), clientId: r.head.id, day: when.data, pains });
	if (!done.ok) return done;
	const { raised, closes, answer } = done.value;
	return { ok: true, value: answered(raised, { closes, lighter: answer === 'lighter' }) };
}

const BY_KIND = { session, morning, evening, symptoms, arrival } as const;

/** @param r the client's record as it stands now */
export async function takeIn(ctx: Context, r: ClientRecord, item: OutboxItem): Promise<Sent> {
	const { id, kind, fields, client } = item;
	if (client !== r.head.id)
		return { id, state: 'parked', message: 'This was kept for somebody else, and was not sent as yours.' };
	const form = new FormData();
	for (const [k, v] of fields) form.append(k, v);
	form.set('id', id);
	const done = await BY_KIND[kind](ctx, r, form);
	if (typeof done === 'string') return { id, state: 'parked', message: done };
	return done.ok
		? { id, state: 'kept', said: done.value }
		: { id, state: 'parked', message: done.refusal.message };
}

/** All that a device sends together, one after another; the record is read anew for each, for the one before may have changed it. */
export async function takeInAll(
	ctx: Context,
	items: readonly OutboxItem[]
): Promise<Outcome<readonly Sent[]>> {
	const { client } = ctx.actor;
	if (client === undefined) return notFound;
	const sent: Sent[] = [];
	for (const item of items) {
		const shown = await showClient(ctx, client, 'what was kept', (_, r) => r, 'check in');
		if (!shown.ok) return shown;
		sent.push(await takeIn(inZone(ctx, shown.value.record.head.tz), shown.value.record, item));
	}
	return ok(sent);
}
