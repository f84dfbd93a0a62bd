/**
 * Checks of the movements beside squat and rise: a value, its limit, what is left of it after the margin. Ok is slack ≥ −1e−6.
 */
import { SLACK_EPSILON } from './constants.ts';
import type { Limits } from './problem.ts';

export const MOVEMENT_CHECKS = [
	'kneeFlexion',
	'thighTrunkFlexion',
	'weightBearingDorsiflexion',
	'straightLegRaise',
	'hipExtension',
	'bigToeExtension',
	'forwardBow',
	'trunkLean',
	'comAheadOfHeelLimit',
	'comBehindToeLimit',
	'reach',
	'anatomicalKnee'
] as const;
export type MovementCheckId = (typeof MOVEMENT_CHECKS)[number];

export interface MovementCheck {
	readonly id: MovementCheckId;
	readonly value: number;
	readonly limit: number;
	readonly slack: number;
	readonly unit: 'deg' | 'cm';
}

/** What a movement asks of one leg; degrees. An axis that is left out is not asked. */
export interface Demand {
	readonly kneeFlexion?: number;
	readonly thighTrunkFlexion?: number;
	readonly weightBearingDorsiflexion?: number;
	readonly straightLegRaise?: number;
	readonly hipExtension?: number;
	readonly bigToeExtension?: number;
	readonly hipAbduction?: number;
	readonly hipInternalRotation?: number;
	readonly hipExternalRotation?: number;
	readonly forwardBow?: number;
}

const RANGES: readonly (readonly [keyof Demand & MovementCheckId, keyof Limits])[] = [
	['kneeFlexion', 'kneeFlexionDeg'],
	['thighTrunkFlexion', 'thighTrunkFlexionDeg'],
	['weightBearingDorsiflexion', 'weightBearingDorsiflexionDeg'],
	['straightLegRaise', 'straightLegRaiseDeg'],
	['hipExtension', 'hipExtensionDeg'],
	['bigToeExtension', 'bigToeExtensionDeg'],
	['forwardBow', 'forwardBowDeg']
];

/** Range checks of a demand against the limits that are given, less the margin. */
export function rangeChecks(demand: Demand, limits: Limits = {}, marginDeg = 0): MovementCheck[] {
	const out: MovementCheck[] = [];
	for (const [axis, key] of RANGES) {
		const value = demand[axis];
		const limit = limits[key];
		if (value !== undefined && limit !== undefined)
			out.push({ id: axis, value, limit, slack: limit - marginDeg - value, unit: 'deg' });
	}
	return out;
}

/** What a limit leaves after the margin, in the limit's unit; without a limit, everything. */
export const room = (limit: number | undefined, marginDeg: number): number =>
	limit === undefined ? Infinity : limit - marginDeg;

export const atMost = (
	id: MovementCheckId,
	value: number,
	limit: number,
	unit: 'deg' | 'cm' = 'deg'
): MovementCheck => ({ id, value, limit, slack: limit - value, unit });
export const atLeast = (
	id: MovementCheckId,
	value: number,
	limit: number,
	unit: 'deg' | 'cm' = 'cm'
): MovementCheck => ({ id, value, limit, slack: value - limit, unit });

export const worstSlack = (checks: readonly MovementCheck[]): number =>
	checks.reduce((w, c) => Math.min(w, c.slack), Infinity);
export const holds = (checks: readonly MovementCheck[]): boolean => worstSlack(checks) >= -SLACK_EPSILON;
