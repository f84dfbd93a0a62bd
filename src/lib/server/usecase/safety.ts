/** Screening, flags, surgery and protocol limits. Opening is for all who see clients; closing and limits are for licensed users. */
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Axis, Side } from '#lib/core/body/axis.ts';
import { append } from '../db/append.ts';
import { lockClient } from '../repo/client-repo.ts';
import { allow, conflict, invalid, notFound, type Context, type Outcome } from './actor.ts';

const CHANGED = 'This was already answered; reload to see it.';

/** A finished screening. Unknown is not no: a screening with unknown answers is incomplete. */
export async function screenClient(ctx: Context, s: { id: string; clientId: string; day: Day; answers: Readonly<Record<string, 'yes' | 'no' | 'unknown'>> }, recordedAt?: Date): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'screen');
	if (!may.ok) return may;
	if (dayNumber(s.day) > dayNumber(ctx.today)) return invalid('day', 'The day is in the future.');
	const complete = Object.values(s.answers).every((a) => a !== 'unknown');
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, s.clientId))) return notFound;
		const written = await append(t, 'screening', { id: s.id, client_id: s.clientId, local_day: s.day, complete, answers: JSON.stringify(s.answers) }, recordedAt);
		return written === 'conflict' ? conflict(CHANGED) : ok(true);
	});
}

export interface NewFlag {
	readonly id: string;
	readonly clientId: string;
	readonly day: Day;
	readonly code: string;
	readonly region?: string;
	readonly severity: 'red' | 'review';
}

export async function openFlag(ctx: Context, f: NewFlag, recordedAt?: Date): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'open flag');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, f.clientId))) return notFound;
		const written = await append(t, 'flag', { id: f.id, client_id: f.clientId, local_day: f.day, code: f.code, region: f.region ?? null, severity: f.severity }, recordedAt);
		return written === 'conflict' ? conflict(CHANGED) : ok(true);
	});
}

export async function closeFlag(ctx: Context, c: { id: string; clientId: string; flagId: string; note: string }): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'close flag');
	if (!may.ok) return may;
	if (c.note.trim().length < 3) return invalid('note', 'Say in a few words why the flag is closed.');
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, c.clientId))) return notFound;
		const flag = await t.trx.selectFrom('flag').select('id').where('id', '=', c.flagId).where('client_id', '=', c.clientId).executeTakeFirst();
		if (flag === undefined) return notFound;
		const written = await append(t, 'flag_closing', { id: c.id, flag_id: c.flagId, local_day: ctx.today, note: c.note });
		return written === 'conflict' ? conflict('Somebody closed this flag already.') : ok(true);
	});
}

export interface NewLimit {
	readonly id: string;
	readonly surgeryId: string;
	readonly clientId: string;
	readonly region: string;
	readonly operatedOn: Day;
	readonly axis: Axis;
	readonly side: Side;
	readonly maxDeg: number;
	readonly source: string;
	readonly reviewOn?: Day;
}

/** Records surgery with the protocol limit that came with it. */
export async function setLimit(ctx: Context, l: NewLimit, recordedAt?: Date): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'set limit');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, l.clientId))) return notFound;
		await append(t, 'surgery', { id: l.surgeryId, client_id: l.clientId, region: l.region, local_day: l.operatedOn, limits_entered: true }, recordedAt);
		const row = { id: l.id, client_id: l.clientId, axis: l.axis, side: l.side, max_tenths: Math.round(l.maxDeg * 10), source: l.source, review_on: l.reviewOn ?? null, lifted: false };
		return (await append(t, 'protocol_limit', row, recordedAt)) === 'conflict' ? conflict(CHANGED) : ok(true);
	});
}
