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
	const pelvis = MASS.pelvis * M;
	const upper = MASS.upper * M;
	const armMass = 2 * MASS.arm * M;
	const onChest = arms === 'chest';
	let massKg = pelvis + upper + armMass;
	let alongKgM = (pelvis * CENTRE.pelvis + upper * CENTRE.upper + armMass * (onChest ? 0.75 : 1)) * S;
	let aheadKgM = onChest ? armMass * 0.05 * H : 0;
	const offsetKgM = arms === 'forward' ? armMass * 0.176 * H : 0;
	if (load !== undefined && load.kg > 0 && load.at !== 'none') {
		const [u, v] = loadPlace(load.at);
		massKg += load.kg;
		alongKgM += load.kg * u * S;
		aheadKgM += load.kg * v * H;
	}
	return {
		massKg,
		alongKgM,
		aheadKgM,
		offsetKgM,
		lumbarAlongKgM: alongKgM - pelvis * CENTRE.pelvis * S - (massKg - pelvis) * CENTRE.lumbosacral * S,
		lumbarAheadKgM: aheadKgM
	};
}
