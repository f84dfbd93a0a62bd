/**
 * Operations and their protocols. Recording an operation is for all who screen; what a protocol says, confirming its next phase, saying that
 * none holds, withdrawing and lifting are for licensed users.
 */
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import type { Side } from '#lib/core/body/axis.ts';
import type { ProtocolWhen } from '#lib/core/client/envelope.ts';
import { phaseFault, weekOf, type LimitAxis, type Phase } from '#lib/core/client/protocol.ts';
import { append } from '../db/append.ts';
import { limitRow, standingProtocol, standingSurgery, type SurgeryRow } from '../repo/surgery-repo.ts';
import { conflict, invalid, notFound } from './actor.ts';
import { command } from './command.ts';

const CHANGED = 'Somebody changed this operation meanwhile; reload to see it.';

export interface NewSurgery {
	readonly id: string;
	readonly clientId: string;
	readonly region: string;
	readonly operatedOn: Day;
	/** In their own words. */
	readonly operation?: string;
}

/** An operation whose protocol is not entered yet: everything waits for it. */
export const recordSurgery = command<NewSurgery, true>({
	verb: 'screen',
	id: (s) => s.id,
	client: (s) => s.clientId,
	check: (s, { today }) => {
		if (Number.isNaN(dayNumber(s.operatedOn)))
			return invalid(
				'operatedOn',
				'Give the day of the operation; without it nothing that rests on time can be told.'
			);
		return s.operatedOn > today
			? invalid('operatedOn', `The day ${s.operatedOn} is in the future.`)
			: undefined;
	},
	run: async (s, { t, ctx, recordedAt }) => {
		const row = {
			id: s.id,
			client_id: s.clientId,
			region: s.region,
			local_day: s.operatedOn,
			limits_entered: false,
			operation: s.operation === '' ? null : (s.operation ?? null),
			entered_on: ctx.today
		};
		return (await append(t, 'surgery', row, recordedAt)) === 'conflict' ? conflict(CHANGED) : ok(true);
	}
});

/** The row of an operation after it, carrying on what it says. */
const after = (s: SurgeryRow, id: string, reason: string) => ({
	id,
	client_id: s.client_id,
	region: s.region,
	local_day: s.local_day,
	operation: s.operation,
	no_limits_by: s.no_limits_by,
	limits_entered: s.limits_entered,
	entered_on: s.entered_on,
	replaces_id: s.id,
	reason
});

export interface EnteredProtocol {
	readonly id: string;
	readonly clientId: string;
	readonly surgeryId: string;
	/** The protocol sheet or letter: whose, of which day. */
	readonly source: string;
	readonly reviewOn?: Day;
	/** In the order they follow one another; each as the protocol gives it. Typical values are never filled in. */
	readonly phases: readonly Phase[];
}

/** Enters the protocol of a recorded operation, or a corrected one in its place. */
export const enterProtocol = command<EnteredProtocol, true>({
	verb: 'set limit',
	id: (p) => p.id,
	client: (p) => p.clientId,
	check: (p) => {
		if (p.source.trim().length < 3)
			return invalid('source', 'Name the protocol: whose it is and of which day.');
		if (p.phases.length === 0)
			return invalid(
				'phase.0.fromWeek',
				'A protocol has at least one phase; where it sets no limits, say so instead.'
			);
		const fault = phaseFault(p.phases);
		return fault === undefined
			? undefined
			: invalid(`phase.${fault.phase}.fromWeek`, `Phase ${fault.phase + 1}: ${fault.message}`);
	},
	run: async (p, { t, ctx }) => {
		const known = await standingSurgery(t, p.clientId, p.surgeryId);
		if (known === undefined) return notFound;
		const before = await standingProtocol(t, p.clientId, known.root);
		const phases = p.phases.map((x, i) => (i === 0 ? { ...x, confirmedOn: ctx.today } : x));
		const row = {
			id: p.id,
			client_id: p.clientId,
			surgery_id: known.root,
			source: p.source,
			review_on: p.reviewOn ?? null,
			phases: JSON.stringify(phases),
			...(before === undefined ? {} : { replaces_id: before.id, reason: 'corrected' })
		};
		if ((await append(t, 'protocol', row)) === 'conflict') return conflict(CHANGED);
		if (known.limits_entered) return ok(true);
		const entered = { ...after(known, p.id, 'protocol entered'), limits_entered: true };
		return (await append(t, 'surgery', entered)) === 'conflict' ? conflict(CHANGED) : ok(true);
	}
});

export interface NoLimits {
	readonly id: string;
	readonly clientId: string;
	readonly surgeryId: string;
	/** Who said so, and when. */
	readonly by: string;
	readonly on: Day;
}

/** Records that no limits hold any more, or ever did: on whose word. */
export const recordNoLimits = command<NoLimits, true>({
	verb: 'set limit',
	id: (n) => n.id,
	client: (n) => n.clientId,
	check: (n, { today }) => {
		if (n.by.trim().length < 3) return invalid('by', 'Who said that no limits hold: name and role.');
		if (Number.isNaN(dayNumber(n.on))) return invalid('on', 'On which day it was said, YYYY-MM-DD.');
		return n.on > today ? invalid('on', `The day ${n.on} is in the future.`) : undefined;
	},
	run: async (n, { t }) => {
		const known = await standingSurgery(t, n.clientId, n.surgeryId);
		if (known === undefined) return notFound;
		if (n.on < known.local_day)
			return invalid(
				'on',
				`The operation was on ${known.local_day}; what was said of its limits is of that day or later.`
			);
		const entered = {
			...after(known, n.id, 'no limits'),
			limits_entered: true,
			no_limits_by: `${n.by}, ${n.on}`
		};
		return (await append(t, 'surgery', entered)) === 'conflict' ? conflict(CHANGED) : ok(true);
	}
});

export interface PhaseConfirmed {
	readonly id: string;
	readonly clientId: string;
	readonly surgeryId: string;
	/** Counted from 1. */
	readonly phase: number;
}

/** Confirms that the next phase may begin: in its order, and not before its week. */
export const confirmPhase = command<PhaseConfirmed, true>({
	verb: 'set limit',
	id: (p) => p.id,
	client: (p) => p.clientId,
	run: async (p, { t, ctx }) => {
		const surgery = await standingSurgery(t, p.clientId, p.surgeryId);
		const protocol = surgery === undefined ? undefined : await standingProtocol(t, p.clientId, surgery.root);
		const phase = protocol?.phases[p.phase - 1];
		if (surgery === undefined || protocol === undefined || phase === undefined) return notFound;
		if (phase.confirmedOn !== undefined) return conflict(`Phase ${p.phase} is confirmed already.`);
		if (protocol.phases[p.phase - 2]?.confirmedOn === undefined)
			return invalid('phase', `Phase ${p.phase - 1} comes first.`);
		const week = weekOf(surgery.local_day, ctx.today);
		if (week < phase.fromWeek)
			return invalid(
				'phase',
				`Phase ${p.phase} begins in week ${phase.fromWeek + 1}; this is week ${week + 1}.`
			);
		const phases = protocol.phases.map((x, i) => (i === p.phase - 1 ? { ...x, confirmedOn: ctx.today } : x));
		const row = {
			id: p.id,
			client_id: p.clientId,
			surgery_id: protocol.surgery_id,
			source: protocol.source,
			review_on: protocol.review_on,
			phases: JSON.stringify(phases),
			replaces_id: protocol.id,
			reason: `phase ${p.phase} confirmed`
		};
		return (await append(t, 'protocol', row)) === 'conflict' ? conflict(CHANGED) : ok(true);
	}
});

export interface Withdrawal {
	readonly id: string;
	readonly clientId: string;
	readonly surgeryId: string;
	readonly reason: string;
}

/** Takes back an operation that was recorded in error, with its protocol; both stay in the record. */
export const withdrawSurgery = command<Withdrawal, true>({
	verb: 'set limit',
	id: (w) => w.id,
	client: (w) => w.clientId,
	check: (w) =>
		w.reason.trim().length < 3 ? invalid('reason', 'Say in a few words what was wrong with it.') : undefined,
	run: async (w, { t }) => {
		const known = await standingSurgery(t, w.clientId, w.surgeryId);
		if (known === undefined) return notFound;
		return (await append(t, 'surgery', { ...after(known, w.id, w.reason.trim()), voided: true })) ===
			'conflict'
			? conflict(CHANGED)
			: ok(true);
	}
});

export interface NewLimit {
	readonly id: string;
	readonly clientId: string;
	readonly axis: LimitAxis;
	readonly side: Side;
	readonly minDeg?: number;
	readonly maxDeg?: number;
	readonly when?: ProtocolWhen;
	readonly source: string;
	readonly reviewOn?: Day;
}

/** A window outside any phase: somebody's word on one movement. */
export const setLimit = command<NewLimit, true>({
	verb: 'set limit',
	id: (l) => l.id,
	client: (l) => l.clientId,
	check: (l) => {
		if (l.minDeg === undefined && l.maxDeg === undefined)
			return invalid('maxDeg', 'How many degrees does the protocol allow? None are assumed.');
		if (l.minDeg !== undefined && l.maxDeg !== undefined && l.minDeg > l.maxDeg)
			return invalid('minDeg', `A window from ${l.minDeg}° to ${l.maxDeg}° is empty.`);
		return l.source.trim().length < 3
			? invalid('source', 'Name whose word it is, and of which day.')
			: undefined;
	},
	run: async (l, { t, ctx, recordedAt }) => {
		const tenths = (deg: number | undefined): number | null =>
			deg === undefined ? null : Math.round(deg * 10);
		const row = {
			id: l.id,
			client_id: l.clientId,
			axis: l.axis,
			side: l.side,
			min_tenths: tenths(l.minDeg),
			max_tenths: tenths(l.maxDeg),
			applies: l.when ?? 'always',
			source: l.source,
			review_on: l.reviewOn ?? null,
			lifted: false,
			local_day: ctx.today
		};
		return (await append(t, 'protocol_limit', row, recordedAt)) === 'conflict'
			? conflict('This limit was already entered; reload to see it.')
			: ok(true);
	}
});

/** Lifts a limit: on whose word. */
export const liftLimit = command<
	{ readonly id: string; readonly clientId: string; readonly limitId: string; readonly reason: string },
	true
>({
	verb: 'set limit',
	id: (l) => l.id,
	client: (l) => l.clientId,
	check: (l) =>
		l.reason.trim().length < 3 ? invalid('reason', 'Say on whose word the limit is lifted.') : undefined,
	run: async (l, { t, ctx }) => {
		const known = await limitRow(t, l.clientId, l.limitId);
		if (known === undefined) return notFound;
		const { axis, side, min_tenths = null, max_tenths, applies = 'always', source, review_on } = known;
		const row = {
			id: l.id,
			client_id: l.clientId,
			axis,
			side,
			min_tenths,
			max_tenths,
			applies,
			source,
			review_on,
			lifted: true,
			local_day: ctx.today,
			replaces_id: known.id,
			reason: l.reason
		};
		return (await append(t, 'protocol_limit', row)) === 'conflict'
			? conflict('Somebody changed this limit meanwhile.')
			: ok(true);
	}
});
