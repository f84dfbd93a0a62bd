/**
 * The end of an episode: what is in use ends with it, how the goals stand is kept beside the reason, and the client is put away. Taking a client back
 * begins another: the record is there, nothing is in use, and the screening says when it is due. Neither while a red flag waits.
 */
import { ok } from '#lib/core/base/result.ts';
import { flagName } from '#lib/wording/screening.ts';
import { append } from '../db/append.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { setStatus, standingOfClient } from '../repo/client-list-repo.ts';
import { intakeOf } from '../repo/intake-repo.ts';
import { conflict, invalid, notFound } from './actor.ts';
import { command } from './command.ts';
import { copyPrescription } from './copied-prescription.ts';
import { newId } from './new-id.ts';

interface Ending {
	readonly id: string;
	readonly clientId: string;
	readonly reason: string;
}

export const endEpisode = command<Ending, { readonly ended: number }>({
	verb: 'end an episode',
	id: (e) => e.id,
	client: (e) => e.clientId,
	run: async ({ id, clientId, reason }, run) => {
		const { t, ctx, recordedAt } = run;
		const r = await run.record();
		if (r === undefined) return notFound;
		const flag = r.head.flags.find((f) => f.open && f.severity !== 'caution');
		if (flag !== undefined)
			return invalid(
				'reason',
				`A flag is open: ${flagName(flag.code)}. It is closed or referred before the client is put away.`
			);
		const goals = (await intakeOf(t, clientId)).goals.map(
			(g) => `${g.label || g.activity}: ${g.scores[0]?.score ?? '–'} to ${g.score} of 10`
		);
		for (const e of r.exercises) {
			const { head } = effectiveChain(e.prescriptions);
			const ended = {
				id: newId(ctx.now),
				state: 'ended',
				kind: 'end',
				reason: `the episode ended: ${reason}`
			} as const;
			const written = await copyPrescription(run, { clientId, exerciseId: e.id }, head, head, ended);
			if (written === 'conflict') return conflict('The plan was changed meanwhile; reload to see it.');
		}
		const row = {
			id,
			client_id: clientId,
			status: 'archived',
			local_day: ctx.today,
			outcome: JSON.stringify(goals),
			reason
		};
		if ((await append(t, 'client_status', row, recordedAt)) === 'conflict')
			return conflict('Somebody ended this episode already.');
		await setStatus(t, clientId, 'archived');
		return ok({ ended: r.exercises.length });
	}
});

export const takeBack = command<Ending, { readonly name: string }>({
	verb: 'end an episode',
	id: (e) => e.id,
	client: (e) => e.clientId,
	run: async ({ id, clientId, reason }, { t, ctx, recordedAt }) => {
		const now = await standingOfClient(t, clientId);
		if (now === undefined) return notFound;
		if (now.status === 'active') return conflict(`${now.name} is among those who come already.`);
		const row = { id, client_id: clientId, status: 'active', local_day: ctx.today, outcome: '[]', reason };
		if ((await append(t, 'client_status', row, recordedAt)) === 'conflict')
			return conflict('Somebody took this client back already.');
		await setStatus(t, clientId, 'active');
		return ok({ name: now.name });
	}
});
