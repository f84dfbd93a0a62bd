/**
 * What a prescription says beside sets, repetitions and load: how it is done and how often. Nothing of it is judged; it goes with the
 * exercise from one dose to the next until somebody changes it.
 */
import { mirrored } from '../body/region-side.ts';
import type { Usually } from '../exercise/family.ts';
import type { Band } from './band.ts';

/** Where it is done. */
export const WHERE = ['practice', 'home', 'both'] as const;

export interface Particulars extends Usually {
	/** Done when it is needed, outside the week's plan: on stiff mornings, after walking. */
	readonly asNeeded?: true;
	/** Effort to work at, 0 to 10. */
	readonly effort?: number;
	readonly band?: Band;
	/** What the practice calls it, as it was when it was given. */
	readonly bandName?: string;
	readonly where?: (typeof WHERE)[number];
	/** Done with both legs at once, pain is asked for each side. */
	readonly painPerSide?: true;
	/** For the client, in the practitioner's words. */
	readonly note?: string;
}

/**
 * Of an exercise that is given for the first time: what its step is usually given with; where both legs work at once and the other side is sore too, pain is asked for each side, for one of
 * them may be what it costs. @source common practice
 */
export const firstParticulars = (
	bothLegs: boolean,
	region: string,
	sore: readonly string[],
	usual: Particulars = {}
): Particulars => {
	const other = mirrored(region);
	return bothLegs && other !== undefined && sore.includes(other) ? { ...usual, painPerSide: true } : usual;
};
