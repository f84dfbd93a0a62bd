/**
 * A posture problem: which movement, in which technique, with which set-up, load and limits. Pure nouns; centimetres, degrees, kg.
 */
import type { Body } from '../body/body.ts';

/** Four ways a squat is taught. The ordinary rise (feet back, momentum) is a sit-to-stand without a technique. */
export const TECHNIQUES = ['sit-back', 'parallel', 'knee-forward', 'stacked'] as const;
export type Technique = (typeof TECHNIQUES)[number];

/** Movements this version solves. */
export const MOVEMENTS = ['squat', 'sit-to-stand'] as const;
export type Movement = (typeof MOVEMENTS)[number];

export const LOAD_PLACES = ['none', 'goblet', 'sides', 'hands', 'back', 'low-back', 'front-rack'] as const;
export type LoadPlace = (typeof LOAD_PLACES)[number];
export const ARMS = ['hang', 'chest', 'forward'] as const;
export type Arms = (typeof ARMS)[number];
/** Both feet share; the other foot a light kickstand; one leg alone. */
export const STANCES = ['both', 'staggered', 'one'] as const;
export type Stance = (typeof STANCES)[number];

/** Exactly one depth: thigh from vertical (90 = joint centres level), knee flexion, or a seat surface height. */
export type Depth =
	{ readonly thighDeg: number } | { readonly kneeFlexionDeg: number } | { readonly seatCm: number };

export interface Load {
	readonly kg: number;
	readonly at: LoadPlace;
}

/** Absent is unlimited, except that a missing dorsiflexion caps the shank at the assumed 38° where a technique spends it. */
export interface Limits {
	readonly kneeFlexionDeg?: number;
	readonly thighTrunkFlexionDeg?: number;
	readonly weightBearingDorsiflexionDeg?: number;
	readonly trunkLeanDeg?: number;
	readonly kneePastToeCm?: number;
	/** Only asked by some movements: a hinge, the rear leg of a lunge, a raised heel. */
	readonly straightLegRaiseDeg?: number;
	readonly hipExtensionDeg?: number;
	readonly bigToeExtensionDeg?: number;
	readonly hipAbductionDeg?: number;
	readonly hipInternalRotationDeg?: number;
	readonly hipExternalRotationDeg?: number;
	/** Lean of the trunk in a bow. */
	readonly forwardBowDeg?: number;
}

export interface Stand {
	readonly body: Body;
	readonly movement: Movement;
	/** Left out: `parallel` for a squat; the ordinary rise for a sit-to-stand. */
	readonly technique?: Technique;
	readonly heelWedgeCm?: number;
	readonly toeOutDeg?: number;
	readonly cushionSinkCm?: number;
	readonly stance?: Stance;
	readonly arms?: Arms;
	readonly load?: Load;
	readonly limits?: Limits;
	readonly marginDeg?: number;
	/** An ordinary rise whose trunk swings: the weight is still behind the feet as the seat is left. */
	readonly momentum?: 'swing';
	/** One leg only: how far the free leg is held ahead of vertical, degrees; default 20. */
	readonly freeLegForwardDeg?: number;
	/** Both hands hold something firm in front. */
	readonly hands?: true;
	/** Where the centre of mass is brought, as a share of foot length from the heel; default by technique. */
	readonly balanceTarget?: number;
}

export interface SquatProblem extends Stand {
	readonly depth: Depth;
}

export const CHECKS = [
	'kneeFlexion',
	'thighTrunkFlexion',
	'weightBearingDorsiflexion',
	'trunkLean',
	'kneePastToe',
	'comAheadOfHeelLimit',
	'comBehindToeLimit',
	'reach',
	'anatomicalKnee'
] as const;
export type CheckId = (typeof CHECKS)[number];
export const CHECK_UNIT: Readonly<Record<CheckId, 'deg' | 'cm'>> = {
	kneeFlexion: 'deg',
	thighTrunkFlexion: 'deg',
	weightBearingDorsiflexion: 'deg',
	trunkLean: 'deg',
	kneePastToe: 'cm',
	comAheadOfHeelLimit: 'cm',
	comBehindToeLimit: 'cm',
	reach: 'cm',
	anatomicalKnee: 'deg'
};
