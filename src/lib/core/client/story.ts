/** The story of a complaint as it was told, and the movements that are feared: each a ladder, with how sure the client is of it now. */
import type { Day } from '../base/calendar-day.ts';

export const COURSES = ['better', 'same', 'worse', 'comes-and-goes'] as const;
export type Course = (typeof COURSES)[number];
export const BEGINNINGS = ['suddenly', 'slowly', 'accident', 'after-change', 'operation'] as const;
export type Beginning = (typeof BEGINNINGS)[number];
export const SAID_KINDS = ['diagnosis', 'imaging', 'referral'] as const;
export type SaidKind = (typeof SAID_KINDS)[number];

/** What somebody else said of it, with who and when. */
export interface Said {
	readonly kind: SaidKind;
	readonly text: string;
	readonly by: string;
	readonly on: Day | null;
}

export interface Feared {
	/** A ladder. */
	readonly family: string;
	/** How sure of it, 0 not at all … 10. */
	readonly confidence: number;
}

export interface Story {
	readonly since: Day | null;
	readonly began: Beginning | null;
	readonly how: string;
	readonly course: Course | null;
	readonly said: readonly Said[];
	readonly medicines: string;
	readonly earlierCare: string;
	readonly demands: string;
	readonly feared: readonly Feared[];
}

/** The ladders feared in any of the stories, the least sure first, each once. */
export const fearedLadders = (stories: readonly Pick<Story, 'feared'>[]): readonly Feared[] => {
	const least = new Map<string, Feared>();
	for (const f of stories.flatMap((s) => s.feared)) {
		const known = least.get(f.family);
		if (known === undefined || f.confidence < known.confidence) least.set(f.family, f);
	}
	return [...least.values()].sort((a, b) => a.confidence - b.confidence);
};
