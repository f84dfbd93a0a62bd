/** What every page of a client shows first: the header and where the work stands; and what the page itself makes of the record. */
import { ok } from '#lib/core/base/result.ts';
import type { HeadView } from '#lib/contract/view.ts';
import type { ClientRecord } from '../record/load.ts';
import { headView } from '../view/head-view.ts';
import { inZone, type Context, type Outcome } from './actor.ts';
import { showClient, type PracticeTransaction } from './show-client.ts';

export async function showClientPage<T extends object>(
	ctx: Context,
	clientId: string,
	what: string,
	view: (record: ClientRecord, t: PracticeTransaction, ctx: Context) => Promise<T> | T
): Promise<Outcome<{ head: HeadView } & T>> {
	const shown = await showClient(ctx, clientId, what, (t, r) => view(r, t, inZone(ctx, r.head.tz)));
	if (!shown.ok) return shown;
	const { record, more } = shown.value;
	const { tz, today } = inZone(ctx, record.head.tz);
	const head = headView(record, ctx.actor.licensed, today);
	return ok({ head: tz === ctx.tz ? head : { ...head, away: { tz, today } }, ...more });
}
