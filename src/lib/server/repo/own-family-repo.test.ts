/** Ladders that were kept by an older version are read as they were meant. */
import { expect, it } from 'vitest';
import { FAMILIES } from '#lib/catalogue/families.ts';
import type { ExerciseFamily, Needs } from '#lib/core/exercise/family.ts';
import { asWrittenNow } from './own-family-repo.ts';

it('both legs to the same end, as it was said then; what is written now stays', () => {
	const old = (bothEnd: boolean) => ({ working: {}, other: {}, end: ['hipExtension'], scales: [], bothEnd });
	const now: Needs = { working: {}, other: {}, end: ['kneeFlexion'], otherEnd: ['hipAbduction'], scales: [] };
	const [a, b, c, ...rest] = (FAMILIES.squat as ExerciseFamily).steps;
	const kept = {
		...FAMILIES.squat,
		steps: [{ ...a, needs: old(true) }, { ...b, needs: old(false) }, { ...c, needs: now }, ...rest]
	} as unknown as ExerciseFamily;
	const read = asWrittenNow(kept).steps;
	expect(read.slice(0, 3).map((s) => s.needs?.otherEnd)).toEqual([['hipExtension'], [], ['hipAbduction']]);
	expect(read[4]).toEqual(rest[1]);
});
