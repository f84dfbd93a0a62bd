/** Ladders with their further steps put where they stand. */
import type { Edge, ExerciseFamily, Step } from '../core/exercise/family.ts';
import { FURTHER, type Further } from './further-steps.ts';
import { faultsOf } from './make.ts';

/** The edges that lead to further steps, by where they begin. */
function edgesFrom(step: Step, further: readonly Further[]): readonly Edge[] {
	return further.flatMap((f): Edge[] => {
		const dial = f.from?.[step.id];
		return dial === undefined ? [] : [{ to: f.step.id, dial }];
	});
}

/** A ladder with its further steps, each behind its own; their faults join the family's. */
export function furthered(family: ExerciseFamily): ExerciseFamily {
	const own = FURTHER.filter((f) => f.family === family.id);
	if (own.length === 0) return family;
	const steps: Step[] = family.steps.map((s) => ({ ...s, next: [...s.next, ...edgesFrom(s, own)] }));
	for (const f of own) {
		const at = steps.findIndex((s) => s.id === f.after);
		if (at < 0) throw new Error(`${f.step.id} stands behind ${f.after}, which ${family.id} does not have`);
		steps.splice(at + 1, 0, f.step);
	}
	const known = new Set(family.faults.map((f) => f.id));
	return {
		...family,
		steps,
		faults: [...family.faults, ...faultsOf(own.map((f) => f.step)).filter((f) => !known.has(f.id))]
	};
}
