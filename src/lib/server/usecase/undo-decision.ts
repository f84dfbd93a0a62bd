/**
 * Undoes the newest signed decision of a client: the prescription before it stands again, identical, under a new id. Undoing needs at least what
 * signing the opposite would: what a stop or a regression took away is given back by a licensed user, but for one's own slip of the same day.
 */
import { ok } from '#lib/core/base/result.ts';
import { append } from '../db/append.ts';
import { decisions, type SignedDecision } from '../repo/decision-repo.ts';
import { exercises } from '../repo/exercise-repo.ts';
import { logs } from '../repo/log-repo.ts';
import { conflict, notFound, refuseFor, type Context, type Outcome } from './actor.ts';
import { command, type Run } from './command.ts';
import { copyPrescription } from './copied-prescription.ts';
import { delegated } from './delegated.ts';

export interface Undo {
	readonly id: string;
	readonly prescriptionId: string;
	readonly clientId: string;
	readonly decisionId: string;
}

export const undoDecision = command<Undo, true>({
	verb: 'sign',
	id: (u) => u.id,
	client: (u) => u.clientId,
	run: async (u, run) => {
		const { t, ctx } = run;
		const all = await decisions(t, u.clientId);
		const decision = all.find((d) => d.id === u.decisionId);
		if (decision === undefined) return notFound;
		if (decision.undone) return ok(true);
		const r = await run.record();
		const family = r?.everGiven.find((e) => e.id === decision.exerciseId)?.family;
		if (r === undefined || family === undefined) return notFound;
		if (!delegated(ctx.actor, r, family, ctx.today))
			return refuseFor('Undoing for this client is not delegated to you; ask a licensed user.');
		const later = all.slice(0, all.indexOf(decision)).find((d) => !d.undone);
		if (later !== undefined)
			return conflict(`A later decision of this client stands: ${later.outcome.text} Undo that first.`);
		const notTheirs = ctx.actor.licensed ? undefined : licensedAlone(decision, ctx);
		if (notTheirs !== undefined) return refuseFor(notTheirs);
		const made = decision.outcome.prescriptionId;
		const trouble = made === null ? undefined : await giveBack(u, run, decision, made);
		if (trouble !== undefined) return trouble;
		const undone = await append(t, 'decision', {
			id: u.id,
			exercise_id: decision.exerciseId,
			client_id: u.clientId,
			local_day: ctx.today,
			based_on: decision.basedOn,
			inputs: '{}',
			inputs_hash: '',
			versions: JSON.stringify(decision.versions),
			proposal: '{}',
			answer: 'undone',
			outcome: JSON.stringify({ prescriptionId: made === null ? null : u.prescriptionId, text: 'Undone.' }),
			replaces_id: decision.id,
			reason: 'undone'
		});
		return undone === 'conflict' ? conflict('Somebody undid this already.') : ok(true);
	}
});

/** Puts back what stood before a decision that nothing was built on since. */
async function giveBack(
	u: Undo,
	run: Run,
	decision: SignedDecision,
	made: string
): Promise<Outcome<never> | undefined> {
	const exercise = (await exercises(run.t, u.clientId)).find((e) => e.id === decision.exerciseId);
	const head = exercise?.prescriptions[exercise.prescriptions.length - 1];
	const old = exercise?.prescriptions.find((p) => p.id === decision.basedOn);
	if (exercise === undefined || head === undefined || old === undefined) return notFound;
	if (head.id !== made) return conflict('The exercise was changed since; make a new decision instead.');
	if ((await logs(run.t, u.clientId)).some((l) => l.prescriptionId === made))
		return conflict('A session was already logged under it; make a new decision instead.');
	const written = await copyPrescription(run, { ...u, exerciseId: exercise.id }, head, old, {
		id: u.prescriptionId,
		state: old.state,
		kind: 'undo',
		restores: old.id,
		reason: 'undone'
	});
	return written === 'conflict'
		? conflict('Somebody changed this exercise meanwhile; reload to see it.')
		: undefined;
}

/** What only a licensed user undoes, and why. */
function licensedAlone(decision: SignedDecision, ctx: Context): string | undefined {
	const ownAndNoStop = ownOfToday(decision, ctx) && decision.proposal.decision !== 'stop';
	if (givesBack(decision) && !ownAndNoStop)
		return 'What a stop or a regression took away is given back by a licensed user.';
	return decision.answer === 'overridden' ? 'An override is undone by a licensed user.' : undefined;
}

/** Undoing it would allow more than stands now. */
const givesBack = (d: SignedDecision): boolean =>
	d.outcome.prescriptionId !== null &&
	(d.proposal.decision === 'stop' || d.proposal.decision === 'regress' || d.answer === 'altered');

const ownOfToday = (d: SignedDecision, ctx: Context): boolean =>
	d.byId === ctx.actor.memberId && d.day === ctx.today;
