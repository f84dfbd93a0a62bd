/**
 * Setting an exercise aside, ending it, and taking it up again where it was left, each with a reason. What was stopped for a symptom or a limit is not taken up
 * here: that is its slip's, and a licensed user's. What a signed slip set aside is given back by a licensed user. What no longer holds is not taken up either; its step is chosen anew.
 */
import type { Pause } from '#lib/contract/plan-form.ts';
import { ok } from '#lib/core/base/result.ts';
import { breakText } from '#lib/wording/safety.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { breaksIn } from '../record/fit-of.ts';
import { heldBy } from '../record/held-by.ts';
import type { ClientRecord } from '../record/load.ts';
import type { Exercise, Prescription } from '../repo/exercise-repo.ts';
import { conflict, invalid, notFound, refuseFor, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';
import { copyPrescription } from './copied-prescription.ts';
import { delegated } from './delegated.ts';
import { beforeEnd, CHANGED, endTrouble, isLicensedsOwn, leavingTrouble } from './end-exercise.ts';

export interface PauseOf extends Pause {
	readonly clientId: string;
}

export const pauseExercise = command<PauseOf, Prescription['state']>({
	verb: 'prescribe',
	id: (p) => p.id,
	client: (p) => p.clientId,
	run: async (p, run) => {
		const { ctx } = run;
		const r = await run.record();
		const exercise = r?.everGiven.find((e) => e.id === p.exerciseId);
		if (r === undefined || exercise === undefined) return notFound;
		const { head } = effectiveChain(exercise.prescriptions);
		if (head.id !== p.basedOn) return conflict(CHANGED);
		const refused = TROUBLE[p.to](r, exercise, ctx, head);
		if (refused !== undefined) return refused;
		const written = await copyPrescription(run, { ...p, exerciseId: exercise.id }, head, head, {
			id: p.id,
			state: p.to,
			kind: KIND[p.to],
			reason: p.reason
		});
		return written === 'conflict' ? conflict(CHANGED) : ok(p.to);
	}
});

const KIND = { active: 'resume', 'set-aside': 'set-aside', ended: 'end' } as const;

type Trouble = (
	r: ClientRecord,
	exercise: Exercise,
	ctx: Context,
	head: Prescription
) => Outcome<never> | undefined;

const asideTrouble: Trouble = (r, exercise, ctx, head) =>
	head.state === 'active' ? leavingTrouble(r, exercise, ctx) : conflict('This exercise is not in use.');

const resumeTrouble: Trouble = (r, exercise, { actor, today }, head) => {
	if (!delegated(actor, r, exercise.family, today))
		return refuseFor('Changing this exercise is not delegated to you; ask a licensed user.');
	if (head.state === 'active') return conflict('This exercise is in use already.');
	if (head.state === 'stopped')
		return refuseFor('What was stopped is cleared on its slip, by a licensed user.', 'reason');
	const stood = beforeEnd(exercise);
	if (stood !== undefined && isLicensedsOwn(stood) && !actor.licensed)
		return refuseFor(
			'What was stopped, or set aside by a signed slip, is taken up again by a licensed user.',
			'reason'
		);
	const twin = r.exercises.find(
		(e) =>
			e.id !== exercise.id && e.family === exercise.family && e.region === exercise.region && isTwin(e, head)
	);
	if (twin !== undefined)
		return conflict(`${head.snapshot.title} is in the plan already, as another exercise.`);
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
};

/** The same step, in use. */
function isTwin(e: Exercise, { step }: Prescription): boolean {
	const { head } = effectiveChain(e.prescriptions);
	return head.state === 'active' && head.step === step;
}

const TROUBLE: Readonly<Record<Pause['to'], Trouble>> = {
	active: resumeTrouble,
	'set-aside': asideTrouble,
	ended: endTrouble
};
