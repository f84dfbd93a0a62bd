/**
 * Searching steps by words: every word of the query must begin a word of the step (title, what, id, purposes, equipment, tags, family).
 * Best first: words in the title, then in the rest. An index is made once and asked often.
 */
import { servesOf, type ExerciseFamily, type Step } from './family.ts';

export interface Entry {
	readonly family: ExerciseFamily;
	readonly step: Step;
	/** Words of the title, then all words, folded. */
	readonly title: readonly string[];
	readonly words: readonly string[];
}

const fold = (s: string): readonly string[] =>
	s
		.toLowerCase()
		.normalize('NFD')
		.replace(/[\u0300-\u036f]/g, '')
		.split(/[^a-z0-9]+/)
		.filter((w) => w !== '');

/** The index; `name` turns codes (purposes, equipment, tags) into the words people use. */
export function searchIndex(
	families: readonly ExerciseFamily[],
	name: (code: string) => string = (c) => c
): readonly Entry[] {
	return families.flatMap((family) =>
		family.steps.map((step): Entry => {
			const codes = [...servesOf(family, step), ...(step.equipment ?? []).flat(), ...step.tags];
			const title = fold(step.title);
			return {
				family,
				step,
				title,
				words: [
					...new Set([
						...title,
						...fold([step.id, step.what, family.title, ...codes, ...codes.map(name)].join(' '))
					])
				]
			};
		})
	);
}

/** Steps that hold every word; an empty query holds everything, in the catalogue's order. */
export function search(index: readonly Entry[], query: string): readonly Entry[] {
	const asked = fold(query);
	if (asked.length === 0) return index;
	const scored: { readonly entry: Entry; readonly score: number }[] = [];
	for (const entry of index) {
		let score = 0;
		let all = true;
		for (const w of asked) {
			if (entry.title.some((t) => t.startsWith(w))) score += 2;
			else if (entry.words.some((t) => t.startsWith(w))) score += 1;
			else {
				all = false;
				break;
			}
		}
		if (all) scored.push({ entry, score });
	}
	return scored.sort((a, b) => b.score - a.score).map((s) => s.entry);
}
