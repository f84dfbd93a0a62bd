/**
 * Setting an exercise aside, and taking it up again where it was left, each with a reason. What was stopped for a symptom or a limit is not taken up
 * here: that is its slip's, and a licensed user's. What a signed slip set aside is given back by a licensed user. What no longer holds is not taken up either; its step is chosen anew.
 */
import type { Pause } from '#lib/contract/plan-form.ts';
import { ok } from '#lib/core/base/result.ts';
import { breakText } from '#lib/wording/safety.ts';
import { append } from '../db/append.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { breaksIn } from '../record/fit-of.ts';
import { loadRecords, type ClientRecord } from '../record/load.ts';
import type { Exercise, Prescription } from '../repo/exercise-repo.ts';
import { conflict, invalid, notFound, refuseFor, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';
import { delegated, heldBy } from './prescribe.ts';

export interface PauseOf extends Pause {
	readonly clientId: string;
}

const CHANGED = 'This exercise was changed meanwhile; reload to see it.';

export const pauseExercise = command<PauseOf, Prescription['state']>({
	verb: 'prescribe',
	id: (p) => p.id,
	client: (p) => p.clientId,
	run: async (p, { t, ctx, recordedAt }) => {
		const [r] = await loadRecords(t, p.clientId);
		const exercise = r?.exercises.find((e) => e.id === p.exerciseId);
		if (r === undefined || exercise === undefined) return notFound;
		if (!delegated(ctx.actor, r, exercise.family, ctx.today))
			return refuseFor('Changing this exercise is not delegated to you; ask a licensed user.');
		const { head } = effectiveChain(exercise.prescriptions);
		if (head.id !== p.basedOn) return conflict(CHANGED);
		const refused = p.to === 'active' ? resumeTrouble(r, exercise, head, ctx) : asideTrouble(head);
		if (refused !== undefined) return refused;
		const row = {
			id: p.id,
			exercise_id: exercise.id,
			client_id: p.clientId,
			local_day: ctx.today,
			step: head.step,
			dose: JSON.stringify(head.dose),
			setup: head.setup === null ? null : JSON.stringify(head.setup),
			snapshot: JSON.stringify(head.snapshot),
			state: p.to,
			kind: p.to === 'active' ? 'resume' : 'set-aside',
			restores_id: null,
			decision_id: null,
			passed_over: JSON.stringify(head.passedOver),
			replaces_id: head.id,
			reason: p.reason
		};
		return (await append(t, 'prescription', row, recordedAt)) === 'conflict' ? conflict(CHANGED) : ok(p.to);
	}
});

const asideTrouble = (head: Prescription): Outcome<never> | undefined =>
	head.state === 'active' ? undefined : conflict('This exercise is not in use.');

function resumeTrouble(
	r: ClientRecord,
	exercise: Exercise,
	head: Prescription,
	{ actor, today }: Context
): Outcome<never> | undefined {
	if (head.state === 'active') return conflict('This exercise is in use already.');
	if (head.state === 'stopped')
		return refuseFor('What was stopped is cleared on its slip, by a licensed user.', 'reason');
	if (head.decisionId !== null && !actor.licensed)
		return refuseFor('What a signed slip set aside is taken up again by a licensed user.', 'reason');
	const held = heldBy(r, exercise.region);
	if (held !== undefined) return invalid('reason', held);
	const { setup, ...given } = head;
	const [first] = breaksIn(r, exercise, today, { ...given, ...(setup === null ? {} : { setup }) });
	return first === undefined
		? undefined
		: invalid(
				'reason',
				`${breakText(first)}: this would not stand any more. Choose its step anew on the ladder.`
			);
}
