/** One client's record, with the reading entered in the access log. */
import { uuidv7 } from '#lib/core/base/uuid.ts';
import { ok } from '#lib/core/base/result.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { allow, notFound, type Context, type Outcome, type Verb } from './actor.ts';
import { newId } from './new-id.ts';
import { loadRecords, type ClientRecord } from '../record/load.ts';

export type { PracticeTransaction };

export const isUuid = (s: string): boolean => uuidv7.test(s);

/** Loads a client or refuses; `also` may read more in the same transaction. */
export async function showClient<T>(
	ctx: Context,
	clientId: string,
	what: string,
	also: (t: PracticeTransaction, record: ClientRecord) => Promise<T> | T,
	verb: Verb = 'show client'
): Promise<Outcome<{ readonly record: ClientRecord; readonly more: T }>> {
	const may = allow(ctx.actor, verb);
	if (!may.ok) return may;
	if (!isUuid(clientId)) return notFound;
	return ctx.inPractice(async (t) => {
		const [record] = await loadRecords(t, clientId);
		if (record === undefined) return notFound;
		await append(t, 'access_log', { id: newId(ctx.now), client_id: clientId, what });
		return ok({ record, more: await also(t, record) });
	});
}
