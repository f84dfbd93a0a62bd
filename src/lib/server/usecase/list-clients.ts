/** All clients of the practice, as they are asked for. Names and days only: no record is read. */
import { ok } from '#lib/core/base/result.ts';
import type { ClientRow, ClientsAsked } from '#lib/contract/episode-form.ts';
import { clientList } from '../repo/client-list-repo.ts';
import { allow, type Context, type Outcome } from './actor.ts';

/** Clients of one page. */
export const LIST_SIZE = 50;

export async function listClients(
	ctx: Context,
	asked: ClientsAsked
): Promise<Outcome<{ readonly rows: readonly ClientRow[]; readonly found: number }>> {
	const may = allow(ctx.actor, 'show today');
	return may.ok ? ok(await ctx.inPractice((t) => clientList(t, asked, LIST_SIZE))) : may;
}
