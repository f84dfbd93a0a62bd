/**
 * Axes: the joint actions that ranges, limits and demands are written in. Degrees.
 *
 * `thighTrunkFlexion` is the angle between thigh and trunk, pelvis and low back included: measured sitting, folding forward. A
 * supine hip value is another axis. `weightBearingDorsiflexion` is the shank's lean over a loaded foot (knee to wall), never a
 * hanging foot. `forwardBow` is the lean of the trunk from upright, standing, as far as a back lets it: one value for both sides.
 */
export const AXES = [
	'kneeFlexion',
	'thighTrunkFlexion',
	'weightBearingDorsiflexion',
	'straightLegRaise',
	'hipExtension',
	'bigToeExtension',
	'hipAbduction',
	'hipInternalRotation',
	'hipExternalRotation',
	'forwardBow'
] as const;
export type Axis = (typeof AXES)[number];

/**
 * The three every client is measured on; a step that asks one of them without a value is not measured. The others (hamstring, hip
 * back, out and turned, big toe, bow) are asked by some movements only: without a value they are taken as usual, and named as assumed.
 */
export const MAIN_AXES = [
	'kneeFlexion',
	'thighTrunkFlexion',
	'weightBearingDorsiflexion'
] as const satisfies readonly Axis[];
export type MainAxis = (typeof MAIN_AXES)[number];
export const isMainAxis = (axis: Axis): axis is MainAxis => (MAIN_AXES as readonly Axis[]).includes(axis);

/** Axes of which there is one, not one a side. */
export const isMidline = (axis: Axis): boolean => axis === 'forwardBow';

export const SIDES = ['left', 'right'] as const;
export type Side = (typeof SIDES)[number];
const LEFT_ALONE: readonly Side[] = ['left'];
/** The sides an axis is read on; one of which there is only one stands under left. */
export const sidesOfAxis = (axis: Axis): readonly Side[] => (isMidline(axis) ? LEFT_ALONE : SIDES);
export const oppositeSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');
/** The leg that is written down first and the one beside it: the treated one, or the left where neither is. */
export const legsOf = (treated: Side | null): { readonly own: Side; readonly other: Side } => ({
	own: treated ?? 'left',
	other: oppositeSide(treated ?? 'left')
});

/**
 * Hard physiologic bounds in degrees: outside them a value is queried, not stored.
 * @source physiologic-bounds knee > 165, weight-bearing dorsiflexion > 50 (from memory); thigh–trunk 160 is the fold of chest on
 * thigh, common practice.
 */
export const POSSIBLE_RANGE: Readonly<Record<Axis, readonly [number, number]>> = {
	kneeFlexion: [0, 165],
	thighTrunkFlexion: [0, 160],
	weightBearingDorsiflexion: [-10, 50],
	straightLegRaise: [0, 130],
	hipExtension: [-30, 45],
	bigToeExtension: [0, 110],
	hipAbduction: [0, 80],
	hipInternalRotation: [0, 70],
	hipExternalRotation: [0, 80],
	forwardBow: [0, 130]
};

/**
 * Values commonly called normal, degrees, for the measure sheet's comparison.
 * @source aaos-1965 knee 135 (from memory); konor-2012 lunge by inclinometer 38.8 (from memory); thigh–trunk, straight-leg raise: common practice; roach-1991 hip
 * extension 19, turning 32; roaas-1982 hip out 39; bow: common practice.
 */
export const USUAL_RANGE: Readonly<Record<Axis, number>> = {
	kneeFlexion: 135,
	thighTrunkFlexion: 140,
	weightBearingDorsiflexion: 38.8,
	straightLegRaise: 75,
	hipExtension: 20,
	bigToeExtension: 70,
	hipAbduction: 39,
	hipInternalRotation: 32,
	hipExternalRotation: 32,
	forwardBow: 90
};

/** Model error of a demand on each axis, ± degrees, for a both-feet set-up; lean-bound hip of a feet-back rise is wider. */
export const MODEL_ERROR: Readonly<Record<Axis, number>> = {
	kneeFlexion: 3,
	thighTrunkFlexion: 3,
	weightBearingDorsiflexion: 3.5,
	straightLegRaise: 5,
	hipExtension: 4,
	bigToeExtension: 5,
	hipAbduction: 5,
	hipInternalRotation: 5,
	hipExternalRotation: 5,
	forwardBow: 3
};
