/**
 * Range kinds: the movements a practitioner measures at hip, knee, ankle, big toe and back, and the sitting fold. Degrees.
 *
 * Some of them are the axes that set-ups are solved on or steps are held against; the others are kept for comparison and for protocol limits. A hanging
 * ankle and a loaded one, a supine hip and a sitting fold are different kinds and never stand in for each other.
 */
import { SIDES, type Axis, type Side } from '../body/axis.ts';

export const RANGE_IDS = [
	'hipFlexion',
	'hipExtension',
	'hipAbduction',
	'hipAdduction',
	'hipInternalRotation',
	'hipExternalRotation',
	'thighTrunkFlexion',
	'straightLegRaise',
	'kneeFlexion',
	'kneeExtension',
	'weightBearingDorsiflexion',
	'ankleDorsiflexion',
	'anklePlantarflexion',
	'bigToeExtension',
	'forwardBow',
	'spineFlexion',
	'spineExtension',
	'spineSideBend',
	'spineRotation'
] as const;
export type RangeId = (typeof RANGE_IDS)[number];

/** The sides a movement is read on. */
export const sidesRead = (kind: RangeKind): readonly Side[] =>
	kind.midline === true ? SIDES.slice(0, 1) : SIDES;

export type Sex = 'female' | 'male';

/** A value commonly called normal, with whom it is of. */
export interface UsualValue {
	readonly value: number;
	readonly sex?: Sex;
	/** Whole years, both ends inclusive; left out, adults. */
	readonly ages?: readonly [number, number];
	readonly source: string;
}

/** What stopped a movement at its end, as the tester felt or the client said. */
export const STOPS = ['stretch', 'pain', 'pinch', 'block', 'muscle', 'fear'] as const;
export type Stop = (typeof STOPS)[number];

export const METHOD_IDS = [
	'goniometer',
	'inclinometer',
	'knee-to-wall',
	'device',
	'phone',
	'by-eye'
] as const;
export type MethodId = (typeof METHOD_IDS)[number];

/** How a range is read off, with the error of one reading and the change that is more than error, degrees. */
export interface Method {
	readonly id: MethodId;
	readonly name: string;
	readonly errorDeg: number;
	readonly realChangeDeg: number;
	readonly source: string;
}

export interface RangeKind {
	readonly id: RangeId;
	readonly name: string;
	readonly joint: 'hip' | 'knee' | 'ankle' | 'big toe' | 'hip and trunk' | 'back';
	readonly how: string;
	/** Outside them a value is refused, not stored. */
	readonly possible: readonly [number, number];
	/** The axis it is the measure of, where set-ups are solved on one. */
	readonly axis: Axis | null;
	/** A signed kind says whether it lacks (minus) or goes beyond straight (plus). */
	readonly signed?: true;
	/** There is one of it, not one a side. It is kept under `left`, and holds for both. */
	readonly midline?: true;
	/** Read in cm and turned into degrees by the body. */
	readonly readCm?: true;
	readonly methods: readonly MethodId[];
	readonly usual: readonly UsualValue[];
}

/** The usual values that speak of this age and sex, own table first; a sex that is not known takes both. */
export function usualFor(kind: RangeKind, age: number, sex: Sex | null): readonly UsualValue[] {
	return kind.usual.filter(
		(u) =>
			(u.ages === undefined || (age >= u.ages[0] && age <= u.ages[1])) &&
			(u.sex === undefined || sex === null || u.sex === sex)
	);
}

/** Lowest and highest of the usual values: sources that disagree are shown as a span. */
export function usualSpan(
	values: readonly UsualValue[]
): { readonly low: number; readonly high: number } | undefined {
	if (values.length === 0) return undefined;
	const v = values.map((u) => u.value);
	return { low: Math.min(...v), high: Math.max(...v) };
}

export interface SideDifference {
	/** Left less right, degrees. */
	readonly degrees: number;
	readonly less: 'left' | 'right' | null;
	/** More than two readings of this method can differ by chance. */
	readonly beyondError: boolean;
}

/** The difference between sides; swapping the sides changes the sign and the name only. */
export function sideDifference(left: number, right: number, method: Method): SideDifference {
	const degrees = left - right;
	return {
		degrees,
		less: degrees === 0 ? null : degrees < 0 ? 'left' : 'right',
		beyondError: Math.abs(degrees) >= method.realChangeDeg
	};
}
