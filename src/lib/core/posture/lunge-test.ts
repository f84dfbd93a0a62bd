/**
 * Knee to wall, turned into degrees by this body's geometry: knee on the wall, heel down, big toe d cm away.
 *
 * The ankle stands 0.75 of a foot behind the toe, the front of the knee 0.028 of stature ahead of its centre, so
 * sin α = (0.75 Lf + d − 0.028 H) / Ls. A fixed "3.6° per cm" cannot be a local slope with a 42 cm shank (it fits the whole angle
 * divided by the distance); the geometry gives 1.4–1.8° per cm.
 * @source bennell-1998 the test and the 3.6° figure (from memory); konor-2012 normal values (from memory)
 */
import { DEG } from '../base/angle.ts';
import { PROPORTION, type Body } from '../body/body.ts';

/** Weight-bearing dorsiflexion in degrees for a toe–wall distance in cm; NaN when the knee could not reach so far. */
export function dorsiflexionFromWall(body: Body, toeWallCm: number): number {
	return (
		Math.asin((0.75 * body.footM + toeWallCm / 100 - PROPORTION.patella * body.heightM) / body.shankM) * DEG
	);
}
