/** What is prescribed and held now: the sentence of why, where its mend is signed. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import { standingSentence } from '#lib/wording/safety.ts';
import { effectiveChain } from '../record/effective-chain.ts';
import { standingOf } from '../record/fit-of.ts';
import type { ClientRecord } from '../record/load.ts';

export interface HeldWork {
	readonly exerciseId: string;
	readonly title: string;
	readonly text: string;
}

export const heldWork = (r: ClientRecord, today: Day): readonly HeldWork[] =>
	r.exercises.flatMap((e): HeldWork[] => {
		const { head } = effectiveChain(e.prescriptions);
		const stands = head.state === 'active' ? standingOf(r, e, today) : null;
		if (stands?.verdict !== 'suspended') return [];
		const { title } = head.snapshot;
		return [{ exerciseId: e.id, title, text: `${title}: ${standingSentence(stands)}` }];
	});
