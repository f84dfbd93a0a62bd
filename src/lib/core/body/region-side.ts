/** The side that a region of the body is on, from its code: knee-left, hip-right, back. */
import { SIDES, type Side } from './axis.ts';

/** Undefined where a region has no side. */
export const sideOf = (region: string): Side | undefined =>
	region.endsWith('-left') ? 'left' : region.endsWith('-right') ? 'right' : undefined;

/** The sides a region may speak of: its own, or both. */
export function sidesOf(region: string): readonly Side[] {
	const side = sideOf(region);
	return side === undefined ? SIDES : [side];
}

/** The same region of the other side; undefined where it has none. */
export function mirrored(region: string): string | undefined {
	const side = sideOf(region);
	return side === undefined
		? undefined
		: `${region.slice(0, -side.length)}${side === 'left' ? 'right' : 'left'}`;
}
