/**
 * The lengths a set-up can have, once: unit, which way is harder, how far it can be typed, how far a slider goes, and where it is gentlest and still
 * the exercise. Contracts, forms, wording, sliders and solvers read them here.
 * @source practice-setting ranges; common-practice the gentlest: a chair not a perch, a quarter squat, more than a line on the floor, a nod of the trunk, a bend at all; and the size of a notch
 */
import type { Dial } from '../exercise/dial.ts';

export interface LengthKind {
	readonly unit: 'cm' | 'deg';
	/** A larger value is harder (1) or gentler (−1). */
	readonly harder: 1 | -1;
	readonly possible: readonly [number, number];
	readonly slider: readonly [number, number];
	readonly gentlest?: number;
	/** How much gentler one notch is, the dial it turns, and the gentlest a notch may lead to. */
	readonly notch: { readonly by: number; readonly dial: Dial; readonly last: number };
}

export const SETUP_LENGTHS = {
	seatCm: {
		unit: 'cm',
		harder: -1,
		possible: [20, 90],
		slider: [30, 75],
		gentlest: 75,
		notch: { by: 3, dial: 'surface', last: 90 }
	},
	thighDeg: {
		unit: 'deg',
		harder: 1,
		possible: [10, 130],
		slider: [10, 120],
		gentlest: 30,
		notch: { by: -8, dial: 'depth', last: 30 }
	},
	stepCm: {
		unit: 'cm',
		harder: 1,
		possible: [2, 60],
		slider: [2, 45],
		gentlest: 4,
		notch: { by: -3, dial: 'surface', last: 4 }
	},
	bowDeg: {
		unit: 'deg',
		harder: 1,
		possible: [5, 120],
		slider: [10, 100],
		gentlest: 10,
		notch: { by: -6, dial: 'depth', last: 10 }
	},
	handleCm: {
		unit: 'cm',
		harder: -1,
		possible: [0, 110],
		slider: [0, 100],
		gentlest: 95,
		notch: { by: 6, dial: 'surface', last: 95 }
	},
	sledCm: {
		unit: 'cm',
		harder: -1,
		possible: [15, 110],
		slider: [30, 95],
		notch: { by: 5, dial: 'depth', last: 95 }
	},
	feetCm: {
		unit: 'cm',
		harder: -1,
		possible: [20, 200],
		slider: [40, 140],
		notch: { by: 8, dial: 'surface', last: 160 }
	}
} as const satisfies Readonly<Record<string, LengthKind>>;

export type Length = keyof typeof SETUP_LENGTHS;
/** In the order they are shown. */
export const LENGTHS = Object.keys(SETUP_LENGTHS) as readonly Length[];
export const lengthKind = (of: Length): LengthKind => SETUP_LENGTHS[of];
