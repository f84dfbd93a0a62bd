/**
 * What sits above the hips, summed once per problem: trunk, arms and load as first moments in the trunk's own frame.
 *
 * u along the trunk from the hip, v ahead of it. `mass` kg; `alongKgM` Σm·u; `aheadKgM` Σm·v; `offsetKgM` Σm·(constant forward
 * offset, for arms held out level). The L5/S1 values leave out the pelvis and measure u from that joint.
 */
import { CENTRE, MASS, type Body } from '../body/body.ts';
import { unreachable } from '../base/result.ts';
import type { Arms, Load, LoadPlace, Movement } from './problem.ts';

export interface UpperBody {
	readonly massKg: number;
	readonly alongKgM: number;
	readonly aheadKgM: number;
	readonly offsetKgM: number;
	readonly lumbarAlongKgM: number;
	readonly lumbarAheadKgM: number;
}

/** Load position (u as share of trunk, v as share of stature). @source common-practice */
export function loadPlace(at: Exclude<LoadPlace, 'none'>): readonly [number, number] {
	switch (at) {
		case 'goblet':
			return [0.85, 0.1];
		case 'back':
			return [1.03, -0.03];
		case 'low-back':
			return [0.93, -0.035];
		case 'front-rack':
			return [1, 0.06];
		case 'sides':
		case 'hands':
			return [1, 0];
		default:
			return unreachable(at);
	}
}

/** Arms on the chest where there is a seat or a load above the waist, else hanging. */
export function defaultArms(movement: Movement, hasSeat: boolean, load: Load | undefined): Arms {
	const held = load !== undefined && load.kg > 0 && load.at !== 'none';
	if (held) return load.at === 'sides' || load.at === 'hands' ? 'hang' : 'chest';
	return movement === 'sit-to-stand' || hasSeat ? 'chest' : 'hang';
}

export function upperBody(body: Body, arms: Arms, load: Load | undefined): UpperBody {
	const { massKg: M, trunkM: S, heightM: H } = body;
	const parts: [mass: number, u: number, v: number, offset: number][] = [
		[MASS.pelvis * M, CENTRE.pelvis * S, 0, 0],
		[MASS.upper * M, CENTRE.upper * S, 0, 0]
	];
	const armMass = 2 * MASS.arm * M;
	if (arms === 'chest') parts.push([armMass, 0.75 * S, 0.05 * H, 0]);
	else parts.push([armMass, S, 0, arms === 'forward' ? 0.176 * H : 0]);
	if (load !== undefined && load.kg > 0 && load.at !== 'none') {
		const [u, v] = loadPlace(load.at);
		parts.push([load.kg, u * S, v * H, 0]);
	}
	let massKg = 0;
	let alongKgM = 0;
	let aheadKgM = 0;
	let offsetKgM = 0;
	for (const [m, u, v, o] of parts) {
		massKg += m;
		alongKgM += m * u;
		aheadKgM += m * v;
		offsetKgM += m * o;
	}
	const pelvis = MASS.pelvis * M;
	return {
		massKg,
		alongKgM,
		aheadKgM,
		offsetKgM,
		lumbarAlongKgM: alongKgM - pelvis * CENTRE.pelvis * S - (massKg - pelvis) * CENTRE.lumbosacral * S,
		lumbarAheadKgM: aheadKgM
	};
}
