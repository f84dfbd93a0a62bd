/** The ladders of a client as pages climb them: the catalogue's and the practice's own, without what is left out. */
import { FAMILIES } from '#lib/catalogue/families.ts';
import type { ExerciseFamily } from '#lib/core/exercise/family.ts';
import { laddersWithout } from '#lib/core/exercise/left-out.ts';

export const familiesFor = (
	own: readonly ExerciseFamily[],
	leftOut: readonly string[] = []
): Readonly<Record<string, ExerciseFamily>> =>
	laddersWithout({ ...FAMILIES, ...Object.fromEntries(own.map((f) => [f.id, f])) }, leftOut);
