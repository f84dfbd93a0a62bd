/**
 * Constants of the sagittal model that are chosen rather than published. Each is a setting, not a fact; the bands of `band.ts`
 * show what they cost.
 * @source common-practice
 */
export const GRAVITY = 9.81;

export const FOOT = {
	/** Ankle, ball and centre of mass as shares of foot length from the heel. */
	ankle: 0.25,
	ball: 0.7,
	centre: 0.5,
	/** Where the centre of mass is brought, and the window it may stay in. */
	target: 0.45,
	stackedTarget: 0.2,
	ordinaryTarget: 0,
	rear: 0.1,
	ordinaryRear: -0.1,
	/** A rise on momentum: the trunk's swing carries the weight forward from a quarter of a foot behind the heels. */
	swingTarget: -0.25,
	swingRear: -0.35,
	front: 0.7
} as const;

export const LEAN = {
	/** Trunk lean never asked for beyond this, degrees. */
	max: 65,
	min: -5,
	/** Shank search range, degrees from vertical. */
	shankLow: -15,
	shankHigh: 65,
	/** Sit-back leans the trunk this many times the shank. */
	sitBackRatio: 2,
	kneeForward: 10,
	/** Shank of the ordinary rise, feet drawn back under the knees. */
	ordinaryShank: 18,
	/** With hands on something firm a rise stays near upright: the trunk leans no further. */
	held: 15
} as const;

/** Dorsiflexion assumed when none was measured, degrees; always named in `assumed`. */
export const ASSUMED_DORSIFLEXION = 38;
export const ANATOMICAL_KNEE = 165;
export const SLACK_EPSILON = 1e-6;

/** Share of the work the leading leg takes, and where the free leg is held (degrees ahead of vertical). */
export const WORKING_SHARE = { both: 0.5, staggered: 0.8, one: 1 } as const;
export const FREE_LEG_FORWARD = 20;

/**
 * How far a technique may be from its ideal and still be that technique, degrees.
 * ordinary and sit-back: shank from upright on · parallel: trunk beside the shank · stacked: trunk from vertical.
 */
export const TECHNIQUE_BAND = { ordinaryShank: 25, parallel: 10, stacked: 15 } as const;
