/**
 * Leaves a step out for one client, with the reason: nothing proposes it any more, and edges pass over it. What is in the plan is not left out under the
 * client's feet: it is changed first. Taken back, it stands on its ladder again.
 */
import { ok } from '#lib/core/base/result.ts';
import { stepAnywhere } from '#lib/core/exercise/family.ts';
import { append } from '../db/append.ts';
import { conflict, invalid, notFound } from './actor.ts';
import { command } from './command.ts';

export interface LeftOut {
	readonly id: string;
	readonly clientId: string;
	readonly step: string;
	readonly because: string;
}

export const leaveOut = command<LeftOut, true>({
	verb: 'leave a step out',
	id: (x) => x.id,
	client: (x) => x.clientId,
	run: async ({ id, clientId, step, because }, { t, ctx, recordedAt, record }) => {
		const r = await record();
		if (r === undefined) return notFound;
		const known = stepAnywhere(r.families, step);
		if (known === undefined)
			return invalid('step', 'There is no such step on a ladder of this client, or it is left out already.');
		const inUse = r.exercises.find((e) => e.prescriptions.at(-1)?.step === step);
		if (inUse !== undefined)
			return invalid('step', `${known.title} is in the plan: change that first, then leave it out.`);
		const row = { id, client_id: clientId, step, because, local_day: ctx.today };
		return (await append(t, 'left_out', row, recordedAt)) === 'conflict'
			? conflict('This was entered already with other words; reload to see it.')
			: ok(true);
	}
});

export const takeStepBack = command<
	{ readonly id: string; readonly clientId: string; readonly leftOutId: string },
	true
>({
	verb: 'leave a step out',
	id: (x) => x.id,
	client: (x) => x.clientId,
	run: async ({ id, clientId, leftOutId }, { t, ctx, recordedAt, record }) => {
		const r = await record();
		const stands = r?.head.leftOut.find((x) => x.id === leftOutId);
		if (stands === undefined) return conflict('This step is back on its ladder already.');
		const { step, because } = stands;
		const row = {
			...{ id, client_id: clientId, step, because, local_day: ctx.today },
			...{ replaces_id: leftOutId, voided: true, reason: 'taken back' }
		};
		return (await append(t, 'left_out', row, recordedAt)) === 'conflict'
			? conflict('Somebody took it back meanwhile.')
			: ok(true);
	}
});
