/** Prescribes several steps at once: each as if alone with the dose it starts at, in the order they are named; all of them or none. */
import { ok, refuse } from '#lib/core/base/result.ts';
import { stepAnywhere } from '#lib/core/exercise/family.ts';
import { loadsItself, startLoad } from '#lib/core/dose/racks.ts';
import { stepTitle } from '#lib/wording/steps.ts';
import { racksOf } from '../record/facts-of.ts';
import { notFound, type Refused } from './actor.ts';
import { command } from './command.ts';
import { prescribeIn, type Given, type NewPrescription } from './prescribe.ts';

export interface Several {
	readonly id: string;
	readonly clientId: string;
	readonly items: readonly Pick<
		NewPrescription,
		'id' | 'exerciseId' | 'family' | 'step' | 'region' | 'rounds'
	>[];
}

export const prescribeSeveral = command<Several, readonly Given[]>({
	verb: 'prescribe',
	id: (s) => s.id,
	client: (s) => s.clientId,
	run: async ({ clientId, items }, run) => {
		const r = await run.record();
		if (r === undefined) return notFound;
		const given: Given[] = [];
		for (const item of items) {
			const step = stepAnywhere(r.families, item.step);
			const dose = step?.usualDose.start ?? { sets: 1, reps: 1 };
			const kg = step?.posture.load?.kg ?? 0;
			const loadKg = loadsItself(step?.equipment) ? kg : startLoad(kg, racksOf(r));
			const one = await prescribeIn(run, { ...item, clientId, ...dose, loadKg });
			if (!one.ok)
				return refuse<Refused>({
					...one.refusal,
					field: item.step,
					message: `${stepTitle(item.step)}: ${one.refusal.message} Nothing was prescribed.`
				});
			given.push(one.value);
		}
		return ok(given);
	}
});
