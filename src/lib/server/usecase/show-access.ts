/** The access log to read: whose record was looked at, by whom and when; who signed in; what was refused. */
import { ok } from '#lib/core/base/result.ts';
import { looks, noteRefused, type Look } from '../repo/access-repo.ts';
import { allow, type Context, type Outcome } from './actor.ts';
import { newId } from './new-id.ts';
import { isUuid } from './show-client.ts';

export type { Look };

const MOST = 100;

export async function showAccess(
	ctx: Context,
	of: { readonly clientId?: string; readonly before?: Date } = {}
): Promise<Outcome<{ readonly looks: readonly Look[]; readonly more: boolean }>> {
	const may = allow(ctx.actor, 'read the access log');
	if (!may.ok) return may;
	if (of.clientId !== undefined && !isUuid(of.clientId)) return ok({ looks: [], more: false });
	const found = await ctx.inPractice((t) => looks(t, { ...of, most: MOST + 1 }));
	return ok({ looks: found.slice(0, MOST), more: found.length > MOST });
}

/** Written down, and never in the way: a look that cannot be noted is refused all the same. */
export const noteRefusedLook = (ctx: Context, asked: string, why: string): Promise<unknown> =>
	ctx.inPractice((t) => noteRefused(t, newId(ctx.now), asked.slice(0, 200), why.slice(0, 300)));
