/** The shared first half of a client page's load: who may, the record, the header. */
import { orError } from './respond.ts';
import { headView } from '../usecase/head-view.ts';
import type { HeadView } from '#lib/contract/view.ts';
import type { Context } from '../usecase/actor.ts';
import { newId } from '../usecase/new-id.ts';
import type { ClientRecord } from '../record/load.ts';
import { showClient, type PracticeTransaction } from '../usecase/show-client.ts';

export function contextIn(locals: App.Locals): Context {
	if (locals.context === undefined) throw new Error('no context: the hook lets nobody here without one');
	return locals.context;
}

/** Loads a client page: `view` makes the page's own data of the record. */
export async function clientPage<T extends object>(
	locals: App.Locals,
	clientId: string,
	what: string,
	view: (record: ClientRecord, t: PracticeTransaction, ctx: Context) => Promise<T> | T
): Promise<{ head: HeadView } & T> {
	const ctx = contextIn(locals);
	const { record, more } = orError(await showClient(ctx, clientId, what, (t, r) => view(r, t, ctx)));
	return { head: headView(record, ctx.actor, ctx.today), ...more };
}

/** Fresh ids for the forms of a page: they travel with the form, so that sending twice writes once. */
export const formIds = (ctx: Context, count: number): string[] => Array.from({ length: count }, () => newId(ctx.now));
