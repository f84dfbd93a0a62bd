/** The dose as it is typed: with each step that is opened it begins as it stands in the plan, else as is usual. */
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import type { Step } from '#lib/core/exercise/family.ts';

export interface TypedDose {
	sets: string;
	reps: string;
	loadKg: string;
}
interface Open {
	readonly step: Step | undefined;
	readonly standing: PrescribedDose | undefined;
	/** The load of the step as the ladder has it, kg. */
	readonly usualKg: number;
}

/** Writes into what is typed, a state of the page: to be called once all is there that the step is made of. */
export function beginsWithStep(typed: TypedDose, open: () => Open): void {
	let begun = '';
	$effect.pre(() => {
		const { step, standing, usualKg } = open();
		if (step === undefined || begun === step.id) return;
		begun = step.id;
		const { start } = step.usualDose;
		typed.sets = String(standing?.sets ?? start.sets);
		typed.reps = String(standing?.reps ?? start.reps);
		typed.loadKg = String(standing?.loadKg ?? usualKg);
	});
}
