/** Holds a practice's own families to what the catalogue itself is held to, beside the catalogue and beside each other. */
import type { ExerciseFamily, Step } from '../core/exercise/family.ts';
import { validateFamily, type CatalogueFault } from '../core/movement/validate-family.ts';
import { standFaults } from '../core/fit/stands.ts';
import { FAMILIES } from './families.ts';
import { FAULTS } from './faults.ts';

/** Sources that own steps may name: the practice's own, or what the trade does. */
const OWN_SOURCES: ReadonlySet<string> = new Set(['common-practice', 'practice-setting']);

/** A family of one's own may watch for any fault of the catalogue. */
const withFaults = (family: ExerciseFamily): ExerciseFamily => ({
	...family,
	faults: [...family.faults, ...FAULTS.filter((f) => !family.faults.some((own) => own.id === f.id))]
});

/**
 * Faults of own families, each with its place and the mend. `before` are the versions that stand: a step that was given may be retired, not
 * left out.
 */
export function checkOwn(
	families: readonly ExerciseFamily[],
	before: readonly ExerciseFamily[] = []
): readonly CatalogueFault[] {
	const beside = [...Object.values(FAMILIES), ...before.filter((b) => !families.some((f) => f.id === b.id))];
	return families.flatMap((raw): CatalogueFault[] => {
		const family = withFaults(raw);
		const elsewhere = new Map<string, Step>(
			[...beside, ...families.filter((f) => f.id !== family.id)].flatMap((f) =>
				f.steps.map((s) => [s.id, s] as const)
			)
		);
		const lost =
			before.find((b) => b.id === family.id)?.steps.filter((s) => !family.steps.some((x) => x.id === s.id)) ??
			[];
		const twice =
			families.filter((f) => f.id === family.id).length > 1
				? [{ place: family.id, message: 'two families share this id; rename one' }]
				: [];
		return [
			...twice,
			...validateFamily(family, { sources: OWN_SOURCES, elsewhere }),
			...standFaults(family),
			...lost.map((s) => ({
				place: `${family.id}/${s.id}`,
				message:
					'this step was here before; mark it "retired" instead of leaving it out, so that old prescriptions still know it'
			}))
		];
	});
}

/** The own families as they are used: with every fault of the catalogue to name. */
export const usable = (families: readonly ExerciseFamily[]): readonly ExerciseFamily[] =>
	families.map(withFaults);
