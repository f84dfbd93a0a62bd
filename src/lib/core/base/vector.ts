/** A point in the sagittal plane: x forward (towards the toes), y up, metres. */
export interface Point {
	readonly x: number;
	readonly y: number;
}

export const point = (x: number, y: number): Point => ({ x, y });
/** A share of the way from a to b. */
export const between = (a: Point, b: Point, share = 0.5): Point => ({
	x: a.x + share * (b.x - a.x),
	y: a.y + share * (b.y - a.y)
});
export const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
