/** The shared first half of a client page's load: who may, the record, the header. */
import { orError } from './respond.ts';
import type { HeadView } from '#lib/contract/view.ts';
import type { Context } from '../usecase/actor.ts';
import { newId } from '../usecase/new-id.ts';
import type { ClientRecord } from '../record/load.ts';
import type { PracticeTransaction } from '../usecase/show-client.ts';
import { showClientPage } from '../usecase/show-client-page.ts';

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
	return orError(await showClientPage(contextIn(locals), clientId, what, view));
}

/** Fresh ids for the forms of a page: they travel with the form, so that sending twice writes once. */
export const formIds = (ctx: Context, count: number): string[] =>
	Array.from({ length: count }, () => newId(ctx.now));
