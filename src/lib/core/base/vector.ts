/** A point in the sagittal plane: x forward (towards the toes), y up, metres. */
export interface Point {
	readonly x: number;
	readonly y: number;
}

export const point = (x: number, y: number): Point => ({ x, y });
export const distance = (a: Point, b: Point): number => Math.hypot(a.x - b.x, a.y - b.y);
