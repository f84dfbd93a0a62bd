/** One client's record, with the reading entered in the access log. */
import { uuidv7 } from '#lib/core/base/uuid.ts';
import { ok, refuse } from '#lib/core/base/result.ts';
import { append } from '../db/append.ts';
import type { PracticeTransaction } from '../db/in-practice.ts';
import { allow, notFound, ofOthers, type Context, type Outcome, type Verb } from './actor.ts';
import { standingOfClient } from '../repo/client-list-repo.ts';
import { lookedAt } from '../repo/record-version-repo.ts';
import { newId } from './new-id.ts';
import { loadRecords, recordAt, type ClientRecord } from '../record/load.ts';

export type { PracticeTransaction };

export const isUuid = (s: string): boolean => uuidv7.test(s);

/** Of a client who was put away a link says so; of any other it says there is none. */
async function whereTheyAre(t: PracticeTransaction, clientId: string): Promise<Outcome<never>> {
	const known = await standingOfClient(t, clientId);
	return known?.status === 'archived'
		? refuse({
				why: 'not-found',
				message: `${known.name} was put away when the episode ended. A licensed user takes them back from All clients.`
			})
		: notFound;
}

/** What is done with the record of somebody who was put away, without taking them back. */
const ALSO_PUT_AWAY: ReadonlySet<Verb> = new Set(['export client']);

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
	if (!isUuid(clientId) || ofOthers(ctx.actor, clientId)) return notFound;
	return ctx.inPractice(async (t) => {
		const look = { id: newId(ctx.now), client_id: clientId, what };
		const putAway = ALSO_PUT_AWAY.has(verb);
		const [record] = putAway
			? await loadRecords(t, clientId, true)
			: await recordAt(t, clientId, await lookedAt(t, look));
		if (record === undefined) return whereTheyAre(t, clientId);
		if (putAway) await append(t, 'access_log', look);
		return ok({ record, more: await also(t, record) });
	});
}
