/** A prescription that stands again as it stood, under a new id and with what changes of it: set aside, taken up, ended, undone. */
import { append, type Append } from '../db/append.ts';
import type { Prescription } from '../repo/exercise-repo.ts';
import type { Run } from './command.ts';

type Changed = Pick<Prescription, 'id' | 'state' | 'kind' | 'reason'> & {
	readonly restores?: string;
};

/** Appends `of` again in place of `head`; a second successor of the same head is a conflict. */
export function copyPrescription(
	{ t, ctx, recordedAt }: Run,
	whose: { readonly clientId: string; readonly exerciseId: string },
	head: Pick<Prescription, 'id'>,
	of: Prescription,
	changed: Changed
): Promise<Append> {
	return append(
		t,
		'prescription',
		{
			id: changed.id,
			exercise_id: whose.exerciseId,
			client_id: whose.clientId,
			local_day: ctx.today,
			step: of.step,
			dose: JSON.stringify(of.dose),
			setup: of.setup === null ? null : JSON.stringify(of.setup),
			snapshot: JSON.stringify(of.snapshot),
			state: changed.state,
			kind: changed.kind,
			restores_id: changed.restores ?? null,
			decision_id: null,
			passed_over: JSON.stringify(of.passedOver),
			particulars: JSON.stringify(of.particulars),
			replaces_id: head.id,
			reason: changed.reason
		},
		recordedAt
	);
}
