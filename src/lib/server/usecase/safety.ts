/**
 * Screening, flags, surgery and protocol limits. Opening is for all who see clients; limits are for licensed users; a flag is closed by
 * a licensed user, or by an external clearance with name, date and document.
 */
import { SCREENING, SCREENING_VERSION } from '#lib/catalogue/screening.ts';
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Side } from '#lib/core/body/axis.ts';
import type { LimitAxis } from '#lib/core/client/protocol.ts';
import { isComplete, raisedFlags, type RaisedFlag, type ScreenAnswers, type Severity, type Urgency } from '#lib/core/client/screening.ts';
import { append } from '../db/append.ts';
import { isHead } from '../db/heads.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { clientHeads, lockClient } from '../repo/client-repo.ts';
import { allow, conflict, ConflictError, invalid, notFound, type Context, type Outcome } from './actor.ts';
import { newId } from './new-id.ts';

const CHANGED = 'This was already answered; reload to see it.';

export interface NewScreening {
	readonly id: string;
	readonly clientId: string;
	readonly day: Day;
	readonly answers: ScreenAnswers;
}

export interface Screened {
	readonly complete: boolean;
	/** Flags that were opened now; one that is open already is not opened again. */
	readonly raised: readonly RaisedFlag[];
}

/** A screening with the flags it opens. Unknown is not no: with unknown or missing answers it is incomplete. */
export async function screenClient(ctx: Context, s: NewScreening, recordedAt?: Date): Promise<Outcome<Screened>> {
	const may = allow(ctx.actor, 'screen');
	if (!may.ok) return may;
	if (dayNumber(s.day) > dayNumber(ctx.today)) return invalid('day', 'The day is in the future.');
	const unknown = Object.keys(s.answers).find((id) => !SCREENING.some((c) => c.id === id));
	if (unknown !== undefined) return invalid(unknown, `There is no category ${unknown}.`);
	const complete = isComplete(SCREENING, s.answers);
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, s.clientId))) return notFound;
		const written = await append(t, 'screening', { id: s.id, client_id: s.clientId, local_day: s.day, complete, answers: JSON.stringify(s.answers), version: SCREENING_VERSION }, recordedAt);
		if (written === 'conflict') return conflict(CHANGED);
		if (written === 'already') return ok({ complete, raised: [] });
		const [head] = await clientHeads(t, s.clientId);
		const open = new Set(head?.flags.filter((f) => f.open).map((f) => f.code));
		const raised = raisedFlags(SCREENING, s.answers).filter((f) => !open.has(f.code));
		for (const f of raised) await append(t, 'flag', { id: newId(ctx.now), client_id: s.clientId, local_day: s.day, code: f.code, region: null, severity: f.severity, urgency: f.urgency }, recordedAt);
		return ok({ complete, raised });
	});
}

export interface NewFlag {
	readonly id: string;
	readonly clientId: string;
	readonly day: Day;
	readonly code: string;
	readonly region?: string;
	readonly severity: Severity;
	readonly urgency?: Urgency;
}

export async function openFlag(ctx: Context, f: NewFlag, recordedAt?: Date): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'open flag');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, f.clientId))) return notFound;
		const row = { id: f.id, client_id: f.clientId, local_day: f.day, code: f.code, region: f.region ?? null, severity: f.severity, urgency: f.urgency ?? null };
		return (await append(t, 'flag', row, recordedAt)) === 'conflict' ? conflict(CHANGED) : ok(true);
	});
}

/** Who cleared it outside the practice, when, and in which document. */
export interface Clearance {
	readonly by: string;
	readonly on: Day;
	readonly document: string;
}

export interface FlagClosing {
	readonly id: string;
	readonly clientId: string;
	readonly flagId: string;
	readonly note: string;
	readonly clearance?: Clearance;
}

/** Closes a flag, and enters that it was closed in the access log. */
export async function closeFlag(ctx: Context, c: FlagClosing): Promise<Outcome<true>> {
	const may = allow(ctx.actor, c.clearance === undefined ? 'close flag' : 'record a clearance');
	if (!may.ok) return may;
	const wrong = c.clearance === undefined ? noteTrouble(c.note) : clearanceTrouble(c.clearance, ctx.today);
	if (wrong !== undefined) return invalid(...wrong);
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, c.clientId))) return notFound;
		if (!ctx.actor.licensed && (await hasLicensed(t, ctx.today))) return { ok: false, refusal: { why: 'not-allowed', message: 'This practice has a licensed user, who closes flags; record the clearance together.' } };
		const flag = await t.trx.selectFrom('flag').select(['id', 'local_day']).where('id', '=', c.flagId).where('client_id', '=', c.clientId).executeTakeFirst();
		if (flag === undefined) return notFound;
		if (c.clearance !== undefined && c.clearance.on < flag.local_day) return invalid('clearedOn', `The flag was opened on ${flag.local_day}; a clearance is of that day or later.`);
		const { by, on, document } = c.clearance ?? { by: null, on: null, document: null };
		const row = { id: c.id, flag_id: c.flagId, local_day: ctx.today, note: c.note, closed_by: c.clearance === undefined ? 'licensed' : 'external', cleared_by: by, cleared_on: on, document };
		const written = await append(t, 'flag_closing', row);
		if (written === 'written') await append(t, 'access_log', { id: newId(ctx.now), client_id: c.clientId, what: c.clearance === undefined ? 'flag closed' : 'flag closed by external clearance' });
		return written === 'conflict' ? conflict('Somebody closed this flag already.') : ok(true);
	});
}

const noteTrouble = (note: string): [string, string] | undefined => (note.trim().length < 3 ? ['note', 'Say in a few words why the flag is closed.'] : undefined);

function clearanceTrouble(c: Clearance, today: Day): [string, string] | undefined {
	if (c.by.trim().length < 3) return ['clearedBy', 'Who cleared it: name and role.'];
	if (Number.isNaN(dayNumber(c.on))) return ['clearedOn', 'On which day it was cleared, YYYY-MM-DD.'];
	if (c.on > today) return ['clearedOn', `The clearance of ${c.on} is in the future; today is ${today}.`];
	if (c.document.trim().length < 3) return ['document', 'Which document says so: kind and reference.'];
	return undefined;
}

async function hasLicensed(t: PracticeTransaction, today: Day): Promise<boolean> {
	const rows = await t.trx.selectFrom('member').select(['roles', 'licensed_until', 'ended_at']).where('practice_id', '=', t.practiceId).execute();
	return rows.some((m) => m.roles.includes('physiotherapist') && m.licensed_until !== null && m.licensed_until >= today && (m.ended_at === null || m.ended_at > today));
}

/** An operation whose protocol is not entered yet: everything waits for it. */
export async function recordSurgery(ctx: Context, s: { id: string; clientId: string; region: string; operatedOn: Day }): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'screen');
	if (!may.ok) return may;
	if (Number.isNaN(dayNumber(s.operatedOn))) return invalid('operatedOn', 'Give the day of the operation; without it nothing that rests on time can be told.');
	if (s.operatedOn > ctx.today) return invalid('operatedOn', `The day ${s.operatedOn} is in the future.`);
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, s.clientId))) return notFound;
		const written = await append(t, 'surgery', { id: s.id, client_id: s.clientId, region: s.region, local_day: s.operatedOn, limits_entered: false });
		return written === 'conflict' ? conflict(CHANGED) : ok(true);
	});
}

export interface EnteredProtocol {
	readonly id: string;
	readonly clientId: string;
	readonly surgeryId: string;
	/** The protocol sheet or letter. */
	readonly source: string;
	readonly reviewOn?: Day;
	/** As the protocol gives them; none when it sets no limit. */
	readonly limits: readonly { readonly id: string; readonly axis: LimitAxis; readonly side: Side; readonly maxDeg: number }[];
}

/** Enters the protocol of a recorded operation. Typical values are never filled in. */
export async function enterProtocol(ctx: Context, p: EnteredProtocol): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'set limit');
	if (!may.ok) return may;
	if (p.source.trim().length < 3) return invalid('source', 'Name the protocol: whose it is and of which day.');
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, p.clientId))) return notFound;
		const known = await t.trx.selectFrom('surgery').selectAll().where('id', '=', p.surgeryId).where('client_id', '=', p.clientId).where(isHead('surgery', 'surgery')).executeTakeFirst();
		if (known === undefined) return notFound;
		const entered = { id: p.id, client_id: p.clientId, region: known.region, local_day: known.local_day, limits_entered: true, replaces_id: known.id, reason: 'protocol entered' };
		if (known.id !== p.id && (await append(t, 'surgery', entered)) === 'conflict') return conflict(CHANGED);
		for (const l of p.limits) {
			const row = { id: l.id, client_id: p.clientId, axis: l.axis, side: l.side, max_tenths: Math.round(l.maxDeg * 10), source: p.source, review_on: p.reviewOn ?? null, lifted: false };
			if ((await append(t, 'protocol_limit', row)) === 'conflict') throw new ConflictError(CHANGED);
		}
		return ok(true);
	});
}

export interface NewLimit {
	readonly id: string;
	readonly surgeryId: string;
	readonly clientId: string;
	readonly region: string;
	readonly operatedOn: Day;
	readonly axis: LimitAxis;
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

/** Lifts a limit: a licensed user's, with whose word it rests on. */
export async function liftLimit(ctx: Context, l: { id: string; clientId: string; limitId: string; reason: string }): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'set limit');
	if (!may.ok) return may;
	if (l.reason.trim().length < 3) return invalid('reason', 'Say on whose word the limit is lifted.');
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, l.clientId))) return notFound;
		const known = await t.trx.selectFrom('protocol_limit').selectAll().where('id', '=', l.limitId).where('client_id', '=', l.clientId).executeTakeFirst();
		if (known === undefined) return notFound;
		const { axis, side, max_tenths, source, review_on } = known;
		const row = { id: l.id, client_id: l.clientId, axis, side, max_tenths, source, review_on, lifted: true, replaces_id: known.id, reason: l.reason };
		return (await append(t, 'protocol_limit', row)) === 'conflict' ? conflict('Somebody changed this limit meanwhile.') : ok(true);
	});
}
