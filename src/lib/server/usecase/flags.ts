/** Flags: opened by all who see clients; closed by a licensed user, or by an external clearance with name, date and document. */
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Severity, Urgency } from '#lib/core/client/screening.ts';
import { append } from '../db/append.ts';
import { flagRow } from '../repo/client-repo.ts';
import { licensedMembers } from '../repo/member-repo.ts';
import { conflict, invalid, notFound, refuseFor, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';
import { newId } from './new-id.ts';

export interface NewFlag {
	readonly id: string;
	readonly clientId: string;
	readonly day: Day;
	readonly code: string;
	readonly region?: string;
	readonly severity: Severity;
	readonly urgency?: Urgency;
}

export const openFlag = command<NewFlag, true>({
	verb: 'open flag',
	id: (f) => f.id,
	client: (f) => f.clientId,
	run: async (f, { t, recordedAt }) => {
		const row = {
			id: f.id,
			client_id: f.clientId,
			local_day: f.day,
			code: f.code,
			region: f.region ?? null,
			severity: f.severity,
			urgency: f.urgency ?? null
		};
		return (await append(t, 'flag', row, recordedAt)) === 'conflict'
			? conflict('This flag is open already; reload to see it.')
			: ok(true);
	}
});

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
	/** The alarm was raised by mistake; kept in the record, restarts no streak. */
	readonly mistaken?: boolean;
}

/** Closes a flag, and enters that it was closed in the access log. */
export const closeFlag = command<FlagClosing, true>({
	verb: (c) => (c.clearance === undefined ? 'close flag' : 'record a clearance'),
	id: (c) => c.id,
	client: (c) => c.clientId,
	check: closingTrouble,
	run: async (c, { t, ctx }) => {
		if (!ctx.actor.licensed && (await licensedMembers(t, ctx.today)) > 0)
			return refuseFor('This practice has a licensed user, who closes flags; record the clearance together.');
		const flag = await flagRow(t, c.clientId, c.flagId);
		if (flag === undefined) return notFound;
		if (c.clearance !== undefined && c.clearance.on < flag.local_day)
			return invalid(
				'clearedOn',
				`The flag was opened on ${flag.local_day}; a clearance is of that day or later.`
			);
		const { by, on, document } = c.clearance ?? { by: null, on: null, document: null };
		const row = {
			id: c.id,
			flag_id: c.flagId,
			local_day: ctx.today,
			note: c.note,
			closed_by: c.clearance === undefined ? 'licensed' : 'external',
			cleared_by: by,
			cleared_on: on,
			document,
			mistaken: c.mistaken === true
		};
		if ((await append(t, 'flag_closing', row)) === 'conflict')
			return conflict('Somebody closed this flag already.');
		const what =
			c.mistaken === true
				? 'flag marked mistaken'
				: c.clearance === undefined
					? 'flag closed'
					: 'flag closed by external clearance';
		await append(t, 'access_log', { id: newId(ctx.now), client_id: c.clientId, what });
		return ok(true);
	}
});

function closingTrouble(c: FlagClosing, { today, actor }: Context): Outcome<never> | undefined {
	if (c.mistaken === true && !actor.licensed)
		return refuseFor('An alarm is marked mistaken by a licensed user.');
	if (c.clearance === undefined)
		return c.note.trim().length < 3
			? invalid('note', 'Say in a few words why the flag is closed.')
			: undefined;
	const { by, on, document } = c.clearance;
	if (by.trim().length < 3) return invalid('clearedBy', 'Who cleared it: name and role.');
	if (Number.isNaN(dayNumber(on))) return invalid('clearedOn', 'On which day it was cleared, YYYY-MM-DD.');
	if (on > today) return invalid('clearedOn', `The clearance of ${on} is in the future; today is ${today}.`);
	if (document.trim().length < 3) return invalid('document', 'Which document says so: kind and reference.');
	return undefined;
}
