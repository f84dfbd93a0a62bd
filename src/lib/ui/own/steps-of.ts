/** Every step of some ladders, to choose from. */
import type { ExerciseFamily } from '#lib/core/exercise/family.ts';

export const stepsOf = (
	families: readonly ExerciseFamily[]
): readonly { readonly value: string; readonly name: string }[] =>
	families.flatMap((f) => f.steps.map((s) => ({ value: s.id, name: `${s.title} (${f.title})` })));
