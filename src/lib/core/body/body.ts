/**
 * A client's body as a planar chain of rigid segments, from stature and mass, each length replaceable by a measured one.
 *
 * Frame and units: metres and kilograms inside, centimetres at the interface. Proportions are of stature, masses of body mass.
 * What it does not do: shape, muscle, or any person's real mass distribution.
 *
 * @source drillis-contini-1966 segment lengths (from memory, via Winter)
 * @source winter-2009 segment masses and centres (from memory)
 */
import { refuse, ok, type Refusal, type Result } from '../base/result.ts';

/** Lengths as fractions of stature, masses per side as fractions of body mass. */
export const PROPORTION = {
	ankleHeight: 0.039,
	foot: 0.152,
	shank: 0.246,
	thigh: 0.245,
	trunk: 0.288,
	upperArm: 0.186,
	forearm: 0.146,
	grip: 0.054,
	hipAboveSeat: 0.047,
	patella: 0.028
} as const;

export const MASS = {
	foot: 0.0145,
	shank: 0.0465,
	thigh: 0.1,
	arm: 0.05,
	pelvis: 0.142,
	upper: 0.436
} as const;

/** Centres of mass: from the proximal joint (shank, thigh), from the hip along the trunk (pelvis, upper), from the shoulder (arm). */
export const CENTRE = {
	shank: 0.433,
	thigh: 0.433,
	pelvis: 0.175,
	upper: (0.578 * 0.66 - 0.142 * 0.175) / 0.436,
	arm: 0.53,
	lumbosacral: 0.195
} as const;

export interface Segments {
	readonly shankCm?: number;
	readonly thighCm?: number;
	readonly trunkCm?: number;
	readonly footCm?: number;
}

export interface BodyInput {
	readonly heightCm: number;
	readonly massKg: number;
	readonly segments?: Segments;
}

/** Solved lengths in metres; `measured` names the segments that were given rather than derived. */
export interface Body {
	readonly heightM: number;
	readonly massKg: number;
	readonly footM: number;
	readonly ankleHeightM: number;
	readonly shankM: number;
	readonly thighM: number;
	readonly trunkM: number;
	readonly measured: readonly (keyof Segments)[];
}

const POSSIBLE = {
	heightCm: [120, 230],
	massKg: [30, 300],
	shankCm: [25, 65],
	thighCm: [25, 65],
	trunkCm: [30, 80],
	footCm: [15, 40]
} as const;

/** Builds a body. Refuses a height, mass or segment outside what adults have, naming the field and the possible range. */
export function bodyOf(input: BodyInput): Result<Body, Refusal> {
	const given: [string, number | undefined, readonly [number, number]][] = [
		['heightCm', input.heightCm, POSSIBLE.heightCm],
		['massKg', input.massKg, POSSIBLE.massKg],
		['segments.shankCm', input.segments?.shankCm, POSSIBLE.shankCm],
		['segments.thighCm', input.segments?.thighCm, POSSIBLE.thighCm],
		['segments.trunkCm', input.segments?.trunkCm, POSSIBLE.trunkCm],
		['segments.footCm', input.segments?.footCm, POSSIBLE.footCm]
	];
	for (const [field, value, [low, high]] of given) {
		if (value === undefined) continue;
		if (!(value >= low && value <= high))
			return refuse({
				reason: 'outside-possible',
				field,
				message: `${field} is ${value}; an adult's lies between ${low} and ${high}`
			});
	}
	const h = input.heightCm / 100;
	const s = input.segments ?? {};
	const metres = (cm: number | undefined, fraction: number): number =>
		cm === undefined ? fraction * h : cm / 100;
	return ok({
		heightM: h,
		massKg: input.massKg,
		footM: metres(s.footCm, PROPORTION.foot),
		ankleHeightM: PROPORTION.ankleHeight * h,
		shankM: metres(s.shankCm, PROPORTION.shank),
		thighM: metres(s.thighCm, PROPORTION.thigh),
		trunkM: metres(s.trunkCm, PROPORTION.trunk),
		measured: (Object.keys(s) as (keyof Segments)[]).filter((k) => s[k] !== undefined)
	});
}
