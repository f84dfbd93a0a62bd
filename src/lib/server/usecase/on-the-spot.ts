/** "That hurts" and "too easy" for an exercise of a client, in the middle of a session. Nothing is written: what was done is logged afterwards. */
import { ok } from '#lib/core/base/result.ts';
import {
	whenItHurts,
	whenTooEasy,
	type Hurts,
	type OnTheSpot,
	type TooEasy
} from '#lib/core/decision/on-the-spot.ts';
import { advancesToday } from '../record/facts-of.ts';
import { decideInputOf } from '../record/slip-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { inZone, notFound, type Context, type Outcome } from './actor.ts';
import { showClient } from './show-client.ts';

export type Asked = { readonly easy: true } | Hurts;
export type Answered = OnTheSpot | TooEasy;

const inputOf = (r: ClientRecord, exerciseId: string, ctx: Context) => {
	const e = r.exercises.find((x) => x.id === exerciseId);
	return e === undefined ? undefined : decideInputOf(r, e, ctx.today, advancesToday(r, ctx.today)).input;
};

export async function onTheSpot(
	ctx: Context,
	clientId: string,
	exerciseId: string,
	asked: Asked
): Promise<Outcome<Answered>> {
	const shown = await showClient(ctx, clientId, 'an exercise, on the spot', () => null, 'log visit');
	if (!shown.ok) return shown;
	const { record } = shown.value;
	const input = inputOf(record, exerciseId, inZone(ctx, record.head.tz));
	if (input === undefined) return notFound;
	return ok('easy' in asked ? whenTooEasy(input) : whenItHurts(input, asked));
}
