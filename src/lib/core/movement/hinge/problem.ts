/**
 * The hinge of a posture for a body. What is picked up sets its depth by the height of the handle; with nothing in the hands the bow itself is given,
 * so that a back that only lets go of a few degrees has a hinge too. A shallow bow bends the knees less, in proportion.
 * @source common-practice the bow from which the knees are as soft as they are taught
 */
import type { Body } from '../../body/body.ts';
import type { HingePosture } from '../../exercise/step-posture.ts';
import { handAtBowCm, hinge, type HingeProblem } from '../../posture/hinge.ts';
import type { SolvedSetup } from '../context.ts';
import { heightFor } from '../place-on-body.ts';

/** Height of a handle for a body, whole cm. */
export const handleFor = ({ handleCm, scales }: HingePosture, body: Body): number =>
	heightFor(handleCm, scales, body);

export const hingeOf = (p: HingePosture, body: Body): Omit<HingeProblem, 'handleCm'> => ({
	body,
	close: p.close,
	loadKg: p.load?.kg ?? 0,
	...(p.bar === undefined ? {} : { bar: p.bar }),
	...(p.oneLeg === true ? { oneLeg: true } : {})
});

/** Knee bend of a hinge whose depth is the bow; undefined where it is a handle's height. */
const kneeOf = ({ load, bar, close }: HingePosture): number | undefined =>
	load === undefined && bar !== 'midfoot' && 'kneeDeg' in close ? close.kneeDeg : undefined;

export const byBow = (p: HingePosture): boolean => kneeOf(p) !== undefined;

/** From this bow on the knees are as soft as the step is taught, degrees. */
const SOFT_FROM_DEG = 20;

/** Bows worked out before, by posture and body: each is asked about many times. */
const known = new WeakMap<HingePosture, WeakMap<Body, number>>();

/** The bow of a posture as it is usually given, degrees. */
export function usualBowDeg(p: HingePosture, body: Body): number {
	let bows = known.get(p);
	if (bows === undefined) known.set(p, (bows = new WeakMap()));
	const found = bows.get(body);
	if (found !== undefined) return found;
	const bow = hinge({ ...hingeOf(p, body), handleCm: handleFor(p, body) }).angles.trunkLean;
	bows.set(body, bow);
	return bow;
}

/** The hinge of a set-up: by its bow, by its handle, or as it is usually given. */
export function hingeIn(p: HingePosture, body: Body, setup: SolvedSetup | null): HingeProblem {
	const of = hingeOf(p, body);
	const kneeDeg = kneeOf(p);
	const bow = setup?.bowDeg;
	if (bow === undefined || kneeDeg === undefined)
		return { ...of, handleCm: setup?.handleCm ?? handleFor(p, body) };
	const bent = kneeDeg * Math.min(1, bow / SOFT_FROM_DEG);
	return { ...of, close: { kneeDeg: bent }, handleCm: handAtBowCm(of, bow, bent) };
}
