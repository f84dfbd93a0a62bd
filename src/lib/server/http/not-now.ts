/**
 * A database that is down, restarting or asked too much is no fault of ours nor of whoever asks: the answer is 503, try again, and what was typed stays. The
 * ids of a form travel with it, so that sending again is safe, whatever became of the first.
 */
import { error } from '@sveltejs/kit';
import type { Context } from '../usecase/actor.ts';

type InPractice = Context['inPractice'];

export const SILENT = 'The database is not answering just now. Nothing was lost; try again in a moment.';
export const BUSY = 'Very many are asking just now. Nothing was lost; try again in a moment.';

/** Connection refused or broken, shutting down or starting, out of connections: by the codes of the system and of the database (PostgreSQL, appendix A). */
const SILENT_CODE = /^(ECONN|EPIPE|57P|08|53)/;
/** The pool has no code for what it says. */
const BROKEN = /^Connection terminated/;
const WAITED = /^timeout exceeded when trying to connect/;

/** What to say of a database that cannot answer now; undefined where it did, whatever went wrong. */
export function notNow(e: unknown): string | undefined {
	const { code, message = '' } = (e ?? {}) as { readonly code?: string; readonly message?: string };
	if (WAITED.test(message)) return BUSY;
	return BROKEN.test(message) || (typeof code === 'string' && SILENT_CODE.test(code)) ? SILENT : undefined;
}

/** The way to the record, where a database that cannot answer is said so. */
export const orNotNow =
	(inPractice: InPractice): InPractice =>
	async (work) => {
		try {
			return await inPractice(work);
		} catch (e) {
			const why = notNow(e);
			if (why !== undefined) error(503, why);
			throw e;
		}
	};
