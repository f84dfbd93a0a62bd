/**
 * The end of a record. Somebody asks, with the reason; another agrees, and it is gone: an owner and a physiotherapist between them. What stands in the way
 * is said with the day it ends. Of whom was erased an id remains, kept outside the database too, so that a restored backup erases them again.
 */
import { eraseTrouble, yearsLater, type EraseBecause } from '#lib/core/client/erasure.ts';
import type { Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import { eraseTroubleText } from '#lib/wording/archive.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { keepErasures } from '../keep/erasures.ts';
import { practiceSettings } from '../repo/practice-repo.ts';
import {
	eraseClient,
	erasureRequests,
	erasures,
	keptLongEnough,
	keptRecord,
	type Erased,
	type ErasureRequest,
	type KeptRecord
} from '../repo/record-end-repo.ts';
import { allow, conflict, invalid, notFound, refuseFor, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';

export interface EraseAsked {
	readonly id: string;
	readonly clientId: string;
	readonly because: EraseBecause;
	readonly why: string;
}

export const askErasure = command<EraseAsked, true>({
	verb: 'erase client',
	id: (x) => x.id,
	client: (x) => x.clientId,
	run: async (x, { t, ctx, recordedAt }) => {
		const kept = await keptRecord(t, x.clientId);
		if (kept === undefined) return notFound;
		const [before] = await erasureRequests(t, x.clientId);
		if (before !== undefined)
			return conflict(`${before.by} asked for this already; it waits for a second person.`);
		const { retentionYears } = await practiceSettings(t);
		const trouble = eraseTrouble(x.because, kept, retentionYears, ctx.today);
		if (trouble !== undefined) return invalid('because', eraseTroubleText(trouble, retentionYears));
		const row = {
			id: x.id,
			client_id: x.clientId,
			local_day: ctx.today,
			because: x.because,
			why: x.why
		};
		return (await append(t, 'erasure_request', row, recordedAt)) === 'conflict'
			? conflict('This was asked for with other words; reload to see it.')
			: ok(true);
	}
});

export interface EraseAnswer {
	readonly id: string;
	readonly requestId: string;
}

/** Takes a request back; anybody who may ask may. */
export const withdrawErasure = command<EraseAnswer, true>({
	verb: 'erase client',
	id: (x) => x.id,
	run: async (x, { t, ctx, recordedAt }) => {
		const asked = (await erasureRequests(t)).find((r) => r.id === x.requestId);
		if (asked === undefined)
			return conflict('This request does not stand any more; reload to see what does.');
		const { clientId: client_id, because, why } = asked;
		const row = {
			...{ id: x.id, client_id, because, why, local_day: ctx.today },
			replaces_id: asked.id,
			voided: true,
			reason: 'taken back'
		};
		return (await append(t, 'erasure_request', row, recordedAt)) === 'conflict'
			? conflict('Somebody answered this meanwhile; reload to see it.')
			: ok(true);
	}
});

const IN_THE_WAY: Readonly<Record<string, string>> = {
	'not-both':
		'Between whoever asks and whoever agrees there is an owner and a physiotherapist with a valid licence.',
	'same-person': 'Somebody else agrees: who asked cannot.',
	'too-soon': 'You are the only one who could agree: sleep on it. It can be done a day after it was asked.',
	'not-you': 'This is for whoever is signed in.'
};

/** Agrees, and the record is gone. What stood in the way when it was asked is asked once more. */
export const agreeErasure = command<EraseAnswer, { readonly rows: number }>({
	verb: 'erase client',
	id: (x) => x.id,
	run: async ({ requestId }, { t, ctx }) => {
		const asked = (await erasureRequests(t)).find((r) => r.id === requestId);
		const kept = asked === undefined ? undefined : await keptRecord(t, asked.clientId);
		if (asked === undefined || kept === undefined)
			return conflict('This request does not stand any more; reload to see what does.');
		const { retentionYears } = await practiceSettings(t);
		const trouble = eraseTrouble(asked.because, kept, retentionYears, ctx.today);
		if (trouble !== undefined) return invalid('', eraseTroubleText(trouble, retentionYears));
		const answer = await eraseClient(t, requestId);
		const rows = /^erased:(\d+)$/.exec(answer)?.[1];
		if (rows === undefined) return refuseFor(IN_THE_WAY[answer] ?? 'This could not be done.');
		return ok({ rows: Number(rows) });
	}
});

/** After an erasure, and whenever the server starts: what is kept outside the database follows it. */
export async function keepErasedOutside(ctx: Context, file = process.env.BOLSTER_ERASURES): Promise<void> {
	if (file === undefined) return;
	const gone = await ctx.inPractice(erasures);
	keepErasures(
		file,
		gone.map((e) => ({ practice: ctx.actor.practiceId, client: e.clientId, at: e.at.toISOString() }))
	);
}

export interface RecordEnds {
	readonly requests: readonly (ErasureRequest & { readonly own: boolean })[];
	/** Put away, and kept as long as they must be. */
	readonly due: readonly KeptRecord[];
	readonly erased: readonly Erased[];
	readonly years: number;
	readonly upTo: Day;
}

const MOST_DUE = 50;

export async function showRecordEnds(ctx: Context): Promise<Outcome<RecordEnds>> {
	const may = allow(ctx.actor, 'erase client');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		const { retentionYears: years } = await practiceSettings(t);
		const upTo = yearsLater(ctx.today, -years);
		const requests = await erasureRequests(t);
		const asked = new Set(requests.map((r) => r.clientId));
		return ok({
			requests: requests.map((r) => ({ ...r, own: r.byId === ctx.actor.memberId })),
			due: (await keptLongEnough(t, upTo, MOST_DUE)).filter((k) => !asked.has(k.clientId)),
			erased: await erasures(t),
			years,
			upTo
		});
	});
}

/** Who asked for the end of this record, where somebody did. */
export const erasureAskedBy = async (t: PracticeTransaction, clientId: string): Promise<string | null> =>
	(await erasureRequests(t, clientId))[0]?.by ?? null;
