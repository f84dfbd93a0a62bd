/** Undoes the last signed decision of an exercise: the prescription before it stands again, identical, under a new id. */
import { ok } from '#lib/core/base/result.ts';
import { append } from '../db/append.ts';
import { lockClient } from '../repo/client-repo.ts';
import { decisions } from '../repo/decision-repo.ts';
import { exercises } from '../repo/exercise-repo.ts';
import { logs } from '../repo/log-repo.ts';
import { allow, conflict, notFound, type Context, type Outcome } from './actor.ts';

export interface Undo {
	readonly id: string;
	readonly prescriptionId: string;
	readonly clientId: string;
	readonly decisionId: string;
}

export async function undoDecision(ctx: Context, u: Undo): Promise<Outcome<true>> {
	const may = allow(ctx.actor, 'sign');
	if (!may.ok) return may;
	return ctx.inPractice(async (t) => {
		if (!(await lockClient(t, u.clientId))) return notFound;
		const all = await decisions(t, u.clientId);
		const decision = all.find((d) => d.id === u.decisionId);
		if (decision === undefined) return notFound;
		if (decision.undone) return ok(true);
		if (decision.answer === 'overridden' && !ctx.actor.licensed) return { ok: false, refusal: { why: 'not-allowed', message: 'An override is undone by a licensed user.' } };
		const newer = all.find((d) => d.exerciseId === decision.exerciseId && !d.undone);
		if (newer !== undefined && newer.id !== decision.id) return conflict('A later decision stands on this one; undo that first.');
		const exercise = (await exercises(t, u.clientId)).find((e) => e.id === decision.exerciseId);
		const made = decision.outcome.prescriptionId;
		if (made !== null) {
			const head = exercise?.prescriptions[exercise.prescriptions.length - 1];
			const old = exercise?.prescriptions.find((p) => p.id === decision.basedOn);
			if (exercise === undefined || head === undefined || old === undefined) return notFound;
			if (head.id !== made) return conflict('The exercise was changed since; make a new decision instead.');
			if ((await logs(t, u.clientId)).some((l) => l.prescriptionId === made)) return conflict('A session was already logged under it; make a new decision instead.');
			const row = {
				id: u.prescriptionId,
				exercise_id: exercise.id,
				client_id: u.clientId,
				local_day: ctx.today,
				step: old.step,
				dose: JSON.stringify(old.dose),
				setup: old.setup === null ? null : JSON.stringify(old.setup),
				snapshot: JSON.stringify(old.snapshot),
				state: old.state,
				kind: 'undo',
				restores_id: old.id,
				decision_id: null,
				replaces_id: head.id,
				reason: 'undone'
			};
			if ((await append(t, 'prescription', row)) === 'conflict') return conflict('Somebody changed this exercise meanwhile; reload to see it.');
		}
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
	});
}
