/**
 * Takes a logged session out of the record: one's own, or anybody's for a licensed user. The row stays, with a successor that says
 * who voided it and why; decisions that rested on it show that the record changed since.
 */
import { ok } from '#lib/core/base/result.ts';
import { entry, takeOut } from '../repo/entry-repo.ts';
import { logs } from '../repo/log-repo.ts';
import { conflict, invalid, notFound, refuseFor } from './actor.ts';
import { command } from './command.ts';

export interface Voiding {
	readonly id: string;
	readonly clientId: string;
	readonly logId: string;
	readonly reason: string;
}

export const voidLog = command<Voiding, true>({
	verb: 'log visit',
	id: (v) => v.id,
	client: (v) => v.clientId,
	check: (v) =>
		v.reason.trim().length < 3 ? invalid('reason', 'Say in a few words what was wrong with it.') : undefined,
	run: async (v, { t, ctx }) => {
		const log = (await logs(t, v.clientId)).find((l) => l.id === v.logId);
		if (log === undefined) return conflict('This session was already taken out, or is not this client’s.');
		if (log.writtenBy !== ctx.actor.memberId && !ctx.actor.licensed)
			return refuseFor('A colleague logged this session; they or a licensed user can take it out.');
		const kept = await entry(t, v.clientId, 'session', v.logId);
		if (kept === undefined) return notFound;
		const written = await takeOut(t, 'session', kept.content, { id: v.id, reason: v.reason.trim() });
		return written === 'conflict' ? conflict('Somebody took this session out already.') : ok(true);
	}
});
