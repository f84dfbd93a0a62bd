/** Where the middle joint of a two-segment limb lies, given its ends; the limb is straightened when the ends are too far apart. */
import { point, type Point } from '../base/vector.ts';

/** `bend` +1 puts the joint to the left of the line from a to b (y up), −1 to its right. */
export function middleJoint(a: Point, b: Point, first: number, second: number, bend: 1 | -1): Point {
	const dx = b.x - a.x;
	const dy = b.y - a.y;
	const d = Math.hypot(dx, dy);
	if (d < 1e-9) return point(a.x, a.y - first);
	const reach = Math.min(d, first + second);
	const along = (first * first - second * second + reach * reach) / (2 * reach);
	const off = Math.sqrt(Math.max(0, first * first - along * along)) * bend;
	return point(a.x + (dx / d) * along - (dy / d) * off, a.y + (dy / d) * along + (dx / d) * off);
}
