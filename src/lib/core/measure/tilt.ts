/**
 * A phone as an inclinometer: laid along shin, thigh or trunk, its own orientation says where up is. What is measured is how far it turned between two holds, in a
 * plane that stands upright; turning about the plumb line cannot be seen, and no compass is needed.
 *
 * The device frame is the W3C's: x to the right of the screen, y to its top, z out of it; the rotation Z(alpha) X(beta) Y(gamma). Up in that frame is its third row,
 * which alpha is not part of.
 * @source w3c-orientation-event (Device Orientation and Motion, from memory)
 */
import { RAD } from '../base/angle.ts';

export interface Orientation {
	/** Degrees about x, −180 to 180. */
	readonly betaDeg: number;
	/** Degrees about y, −90 to 90. */
	readonly gammaDeg: number;
}

/** A direction, of length one. */
export type Direction = readonly [x: number, y: number, z: number];

/** Where up is, as the device has it. */
export function upOf({ betaDeg, gammaDeg }: Orientation): Direction {
	const [b, g] = [betaDeg * RAD, gammaDeg * RAD];
	return [-Math.cos(b) * Math.sin(g), Math.sin(b), Math.cos(b) * Math.cos(g)];
}

/** Degrees between two directions, 0 to 180; exact near 0 too, where an arc cosine is not. */
export function turnedDeg(a: Direction, b: Direction): number {
	const dot = a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
	const cross = Math.hypot(a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]);
	return Math.atan2(cross, dot) / RAD;
}

export interface Held {
	readonly tMs: number;
	readonly up: Direction;
}

/** Still for so long, within so much: then it is read. @source practice-setting */
const STILL_MS = 1000;
const STILL_DEG = 1.5;

/** The direction of the last second, where it was still all through it; undefined where it moved, or it is not that long yet. */
export function stillAt(held: readonly Held[]): Direction | undefined {
	const last = held[held.length - 1];
	if (last === undefined || (held[0]?.tMs ?? last.tMs) > last.tMs - STILL_MS) return undefined;
	const second = held.filter((h) => h.tMs >= last.tMs - STILL_MS);
	const sum = second.reduce<Direction>((s, h) => [s[0] + h.up[0], s[1] + h.up[1], s[2] + h.up[2]], [0, 0, 0]);
	const length = Math.hypot(...sum);
	const mean: Direction = [sum[0] / length, sum[1] / length, sum[2] / length];
	return second.every((h) => turnedDeg(h.up, mean) <= STILL_DEG) ? mean : undefined;
}
