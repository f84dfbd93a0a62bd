/**
 * The one way a command takes: may this role? → one transaction → client locked, their day known → what needs no record → sent before? → run →
 * kept with its receipt, or rolled back whole. What Today keeps of the client is marked as old in the same transaction.
 *
 * The id of a command is made by the writer and travels with the form. The same id with the same content is the same command: it
 * answers what it answered then and writes nothing. The same id with other content is a conflict, so that "saved" is never said of what
 * was not saved. Whatever is not ok leaves no trace: neither a receipt nor half of its writes.
 */
import { ok } from '#lib/core/base/result.ts';
import { uuidv7 } from '#lib/core/base/uuid.ts';
import { contentHash } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { loadRecords, recordAt, type ClientRecord } from '../record/load.ts';
import { beginOfClient, beginOfPractice, writeReceipt, type Begun } from '../repo/receipt-repo.ts';
import { recordVersion } from '../repo/record-version-repo.ts';
import type { RecordVersion } from '../repo/record-version-row.ts';
import { unjudge } from '../repo/standing-repo.ts';
import {
	allow,
	conflict,
	invalid,
	inZone,
	notFound,
	ofOthers,
	type Context,
	type Outcome,
	type Refused,
	type Verb
} from './actor.ts';
import { judgeSoon } from './judge-aside.ts';

/** What a command is run in: the transaction, who acts, and for the demo's past when it was written. */
export interface Run {
	readonly t: PracticeTransaction;
	readonly ctx: Context;
	readonly recordedAt: Date | undefined;
	/** The record of the client whom it is about, as it stands; undefined where it is about nobody. Asked for first before anything is written. */
	readonly record: () => Promise<ClientRecord | undefined>;
}

export interface Command<I, T> {
	readonly verb: Verb | ((input: I) => Verb);
	/** The id that travels with the form. */
	readonly id: (input: I) => string;
	/** The client it is about, who is locked; left out, it is about the practice. */
	readonly client?: (input: I) => string;
	/** What it changes may say something else of every client of the practice. */
	readonly everybody?: true;
	/** Refusals that need no record. */
	readonly check?: (input: I, ctx: Context) => Outcome<never> | undefined;
	readonly run: (input: I, run: Run) => Promise<Outcome<T>>;
	/** False where the answer asks for more and nothing was decided: answered, and nothing kept. */
	readonly keeps?: (value: T) => boolean;
}

/** Carries an answer out of the transaction that it rolls back. */
class RolledBack extends Error {
	constructor(readonly outcome: Outcome<never> | { readonly ok: true; readonly value: unknown }) {
		super('rolled back');
	}
}

const SENT_TWICE =
	'This form was sent before with other content, which stands. What you typed is still here: reload to see what stands, then enter what has changed.';
const UNIQUE_VIOLATION = '23505';

export type Handler<I, T> = (ctx: Context, input: I, recordedAt?: Date) => Promise<Outcome<T>>;

/** Makes the handler of a command. */
export function command<I, T>(c: Command<I, T>): Handler<I, T> {
	return async (ctx, input, recordedAt) => {
		const verb = typeof c.verb === 'function' ? c.verb(input) : c.verb;
		const may = allow(ctx.actor, verb);
		if (!may.ok) return may;
		const id = c.id(input);
		const clientId = c.client?.(input);
		if (!uuidv7.test(id)) return invalid('', 'The form has lost its ids; reload the page.');
		if ((clientId !== undefined && !uuidv7.test(clientId)) || ofOthers(ctx.actor, clientId)) return notFound;
		const done = await keptOrRolledBack<T>(() =>
			ctx.inPractice((t) =>
				inside(
					c,
					input,
					{ t, ctx, recordedAt, record: async () => undefined },
					{ id, verb, ...(clientId === undefined ? {} : { clientId }) }
				)
			)
		);
		if (done.ok && clientId !== undefined) judgeSoon(ctx.actor, ctx.today);
		return done;
	};
}

interface Sent {
	readonly id: string;
	readonly verb: Verb;
	readonly clientId?: string;
}

async function inside<I, T>(c: Command<I, T>, input: I, asked: Run, sent: Sent): Promise<Outcome<T>> {
	const begun = await begin(asked, sent);
	if (begun === undefined) return notFound;
	const { before, run } = begun;
	const { t } = run;
	const wrong = c.check?.(input, run.ctx);
	if (wrong !== undefined) throw new RolledBack(wrong);
	const hash = contentHash({ input, verb: sent.verb });
	if (before !== undefined) {
		const same =
			before.hash === hash && before.by === t.memberId && before.clientId === (sent.clientId ?? null);
		return same ? ok(before.outcome as T) : conflict(SENT_TWICE);
	}
	const outcome = await c.run(input, run);
	if (!outcome.ok || c.keeps?.(outcome.value) === false) throw new RolledBack(outcome);
	await writeReceipt(t, { ...sent, hash, outcome: outcome.value }, run.recordedAt);
	if (sent.clientId === undefined && c.everybody === true) await unjudge(t);
	return outcome;
}

/** Locks the client and stands where they live, or locks the id; undefined where there is no such client. */
async function begin(
	run: Run,
	{ id, clientId }: Sent
): Promise<{ readonly run: Run; readonly before: Begun['before'] } | undefined> {
	if (clientId === undefined) return { run, before: (await beginOfPractice(run.t, id)).before };
	const begun = await beginOfClient(run.t, clientId, id);
	if (begun === undefined) return undefined;
	const { before, tz, version } = begun;
	return {
		run: { ...run, ctx: inZone(run.ctx, tz), record: recordOf(run.t, clientId, version) },
		before
	};
}

/** The number that a command began with holds until something is written in it: it is believed once, and then the database is asked. */
function recordOf(t: PracticeTransaction, clientId: string, begun: RecordVersion | undefined): Run['record'] {
	let number = begun;
	return async () => {
		const known = number;
		number = undefined;
		if (known === undefined) return (await loadRecords(t, clientId))[0];
		if (process.env.VITEST !== undefined && (await recordVersion(t, clientId))?.version !== known.version)
			throw new Error('something was written before the record was read');
		return (await recordAt(t, clientId, known))[0];
	};
}

async function keptOrRolledBack<T>(work: () => Promise<Outcome<T>>): Promise<Outcome<T>> {
	try {
		return await work();
	} catch (e) {
		if (e instanceof RolledBack) return e.outcome as Outcome<T>;
		// Two rows with one id, written side by side: the other one stands.
		if ((e as { code?: string }).code === UNIQUE_VIOLATION) return conflict(SENT_TWICE);
		throw e;
	}
}

/** A refusal found half-way, deep inside a command: rolls back and is answered. */
export function refuseHere(refused: { readonly ok: false; readonly refusal: Refused }): never {
	throw new RolledBack(refused);
}
