/** Ending an exercise: by itself, or for one that takes its place. What stops or refers is signed first, and what was stopped a licensed user ends. */
import type { Step } from '#lib/core/exercise/family.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { advancesToday } from '../record/facts-of.ts';
import type { ClientRecord } from '../record/load.ts';
import { slipOf } from '../record/slip-of.ts';
import type { Exercise, Prescription } from '../repo/exercise-repo.ts';
import { conflict, invalid, refuseFor, type Context, type Outcome } from './actor.ts';
import type { Run } from './command.ts';
import { copyPrescription } from './copied-prescription.ts';
import { delegated } from './delegated.ts';

export const CHANGED = 'This exercise was changed meanwhile; reload to see it.';

/** Why it may not leave the plan by this hand; setting aside asks the same. */
export function leavingTrouble(r: ClientRecord, e: Exercise, ctx: Context): Outcome<never> | undefined {
	if (!delegated(ctx.actor, r, e.family, ctx.today))
		return refuseFor('Changing this exercise is not delegated to you; ask a licensed user.');
	if (ctx.actor.licensed) return undefined;
	const { trace } = slipOf(r, e, ctx.today, advancesToday(r, ctx.today));
	return trace.decision === 'stop' || trace.decision === 'refer'
		? refuseFor(
				'Its slip says to stop or to refer: that is signed first, or a licensed user takes it out of the plan.',
				'reason'
			)
		: undefined;
}

/** Stopped, or set aside by a signed slip: only a licensed user takes it further. */
export const isLicensedsOwn = ({ state, decisionId }: Prescription): boolean =>
	state === 'stopped' || (state === 'set-aside' && decisionId !== null);

/** What stood before an exercise ended; the head of one that has not. */
export const beforeEnd = (e: Exercise): Prescription | undefined =>
	e.prescriptions.filter((p) => p.state !== 'ended').pop();

/** Why it may not be ended by this hand. */
export function endTrouble(r: ClientRecord, e: Exercise, ctx: Context): Outcome<never> | undefined {
	const { head } = effectiveChain(e.prescriptions);
	if (head.state === 'ended') return conflict('This exercise has ended already.');
	if (isLicensedsOwn(head) && !ctx.actor.licensed)
		return refuseFor(
			'What was stopped, or set aside by a signed slip, is ended by a licensed user.',
			'reason'
		);
	return leavingTrouble(r, e, ctx);
}

/** Ends an exercise for the step that takes its place; answers only what refuses. */
export async function endFor(
	run: Run,
	e: Exercise,
	by: Step,
	p: { readonly clientId: string; readonly endId?: string; readonly reason?: string }
): Promise<Outcome<never> | undefined> {
	if (p.endId === undefined) return invalid('', 'The form has lost its ids; reload the page.');
	const { head } = effectiveChain(e.prescriptions);
	const written = await copyPrescription(run, { clientId: p.clientId, exerciseId: e.id }, head, head, {
		id: p.endId,
		state: 'ended',
		kind: 'end',
		reason: `${by.title} took its place${p.reason === undefined ? '' : `: ${p.reason}`}`
	});
	return written === 'conflict' ? conflict(CHANGED) : undefined;
}
