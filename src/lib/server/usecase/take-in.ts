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
import { ok } from '#lib/core/base/result.ts';
import type { Raised } from '#lib/core/safety/alarm.ts';
import { SYMPTOMS } from '#lib/core/session/record.ts';
import { alarmText } from '#lib/wording/safety.ts';
import { arrive } from './arrive.ts';
import { notFound, type Context, type Outcome } from './actor.ts';
import { morningTyped } from './check-in.ts';
import { sessionTyped } from './log-session.ts';
import { showClient } from './show-client.ts';
import { eveningTyped } from './tell-evening.ts';
import { tellSymptoms } from './tell-symptoms.ts';
import { typedForm } from './told-command.ts';

type Done = Outcome<Answered> | string;

const answered = (raised: readonly Raised[], more: Partial<Answered> = {}): Answered => ({
	...NOTHING_SAID,
	now: raised[0]?.now ?? null,
	alarms: raised.map(alarmText),
	...more
});
const first = (issues: readonly { readonly message: string }[]): string => issues[0]?.message ?? '';

async function session(ctx: Context, clientId: string, form: FormData): Promise<Done> {
	const done = await sessionTyped(ctx, typedForm(clientId, form));
	return done.ok ? ok(answered(done.value.raised)) : done;
}

async function morning(ctx: Context, clientId: string, form: FormData): Promise<Done> {
	const done = await morningTyped(ctx, typedForm(clientId, form));
	if (!done.ok) return done;
	const { raised, closes, fever } = done.value;
	return ok(answered(raised, { closes: fever ? 'day' : closes }));
}

async function evening(ctx: Context, clientId: string, form: FormData): Promise<Done> {
	const done = await eveningTyped(ctx, typedForm(clientId, form));
	return done.ok ? ok(answered([], { closes: done.value.closes })) : done;
}

const symptomsForm = z.object({
	id: uuid,
	day,
	region,
	caudaEquina: z.enum(['yes', 'no', 'unknown']).optional()
});

async function symptoms(ctx: Context, clientId: string, form: FormData): Promise<Done> {
	const parsed = symptomsForm.safeParse(Object.fromEntries([...form].filter(([k]) => k !== 'symptoms')));
	if (!parsed.success) return first(parsed.error.issues);
	const told = SYMPTOMS.filter((s) => form.getAll('symptoms').includes(s));
	if (told.length !== form.getAll('symptoms').length || told.length === 0)
		return 'Say which of the list it is.';
	const { caudaEquina, ...own } = parsed.data;
	const done = await tellSymptoms(ctx, {
		...{ ...own, clientId, symptoms: told },
		...(caudaEquina === undefined ? {} : { caudaEquina })
	});
	return done.ok ? ok(answered(done.value)) : done;
}

async function arrival(ctx: Context, clientId: string, form: FormData): Promise<Done> {
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
	const done = await arrive(ctx, { ...arrivalOf(parsed.data), clientId, day: when.data, pains });
	if (!done.ok) return done;
	const { raised, closes, answer } = done.value;
	return ok(answered(raised, { closes, lighter: answer === 'lighter' }));
}

const BY_KIND = { session, morning, evening, symptoms, arrival } as const;

/** One thing, for the client whose page it is. */
export async function takeIn(ctx: Context, clientId: string, item: OutboxItem): Promise<Sent> {
	const { id, kind, fields, client } = item;
	if (client !== clientId)
		return { id, state: 'parked', message: 'This was kept for somebody else, and was not sent as yours.' };
	const form = new FormData();
	for (const [k, v] of fields) form.append(k, v);
	form.set('id', id);
	const done = await BY_KIND[kind](ctx, clientId, form);
	if (typeof done === 'string') return { id, state: 'parked', message: done };
	return done.ok
		? { id, state: 'kept', said: done.value }
		: { id, state: 'parked', message: done.refusal.message };
}

/** All that a device sends together, one after another, in their order. */
export async function takeInAll(
	ctx: Context,
	items: readonly OutboxItem[]
): Promise<Outcome<readonly Sent[]>> {
	const { client } = ctx.actor;
	if (client === undefined) return notFound;
	const shown = await showClient(ctx, client, 'what was kept', () => null, 'check in');
	if (!shown.ok) return shown;
	const sent: Sent[] = [];
	for (const item of items) sent.push(await takeIn(ctx, client, item));
	return ok(sent);
}
