/** A screening with the flags it opens. Unknown is not no: with unknown or missing answers it is incomplete. */
import { SCREENING, SCREENING_VERSION } from '#lib/catalogue/screening.ts';
import { dayNumber, type Day } from '#lib/core/base/calendar-day.ts';
import { ok } from '#lib/core/base/result.ts';
import { isComplete, raisedFlags, type RaisedFlag, type ScreenAnswers } from '#lib/core/client/screening.ts';
import { append } from '../db/append.ts';
import { clientHeads } from '../repo/client-repo.ts';
import { conflict, invalid } from './actor.ts';
import { command } from './command.ts';
import { newId } from './new-id.ts';

export interface NewScreening {
	readonly id: string;
	readonly clientId: string;
	readonly day: Day;
	readonly answers: ScreenAnswers;
}

export interface Screened {
	readonly complete: boolean;
	/** Flags that were opened now; one that is open already is not opened again. */
	readonly raised: readonly RaisedFlag[];
}

export const screenClient = command<NewScreening, Screened>({
	verb: 'screen',
	id: (s) => s.id,
	client: (s) => s.clientId,
	check: (s, ctx) => {
		if (dayNumber(s.day) > dayNumber(ctx.today)) return invalid('day', 'The day is in the future.');
		const unknown = Object.keys(s.answers).find((id) => !SCREENING.some((c) => c.id === id));
		return unknown === undefined ? undefined : invalid(unknown, `There is no category ${unknown}.`);
	},
	run: async (s, { t, ctx, recordedAt }) => {
		const complete = isComplete(SCREENING, s.answers);
		const row = {
			id: s.id,
			client_id: s.clientId,
			local_day: s.day,
			complete,
			answers: JSON.stringify(s.answers),
			version: SCREENING_VERSION
		};
		if ((await append(t, 'screening', row, recordedAt)) === 'conflict')
			return conflict('This was already answered; reload to see it.');
		const [head] = await clientHeads(t, s.clientId);
		const open = new Set(head?.flags.filter((f) => f.open).map((f) => f.code));
		const raised = raisedFlags(SCREENING, s.answers).filter((f) => !open.has(f.code));
		for (const f of raised) {
			const flag = {
				id: newId(ctx.now),
				client_id: s.clientId,
				local_day: s.day,
				code: f.code,
				region: null,
				severity: f.severity,
				urgency: f.urgency
			};
			await append(t, 'flag', flag, recordedAt);
		}
		return ok({ complete, raised });
	}
});
