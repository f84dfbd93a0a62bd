/**
 * Path text for one rounded, tapering limb between two joints. Centimetres, y down (screen), ready for an SVG `d` attribute.
 */
import type { Point } from '../base/vector.ts';

/** Screen coordinates of a model point: cm, y down. */
export const screen = (p: Point): Point => ({ x: 100 * p.x, y: -100 * p.y });

const n = (v: number): string => (Math.round(v * 100) / 100).toString();

/** Outline of two circles and their outer tangents: a capsule with radius `ra` at a and `rb` at b. */
export function limbPath(a: Point, b: Point, ra: number, rb: number): string {
	const dx = b.x - a.x;
	const dy = b.y - a.y;
	const d = Math.hypot(dx, dy);
	if (d < 1e-6 || d <= Math.abs(ra - rb)) return circlePath(ra >= rb ? a : b, Math.max(ra, rb));
	const along = Math.atan2(dy, dx);
	const open = Math.acos((ra - rb) / d);
	const on = (p: Point, r: number, angle: number): string =>
		`${n(p.x + r * Math.cos(angle))} ${n(p.y + r * Math.sin(angle))}`;
	const up = along - open;
	const down = along + open;
	return (
		`M${on(a, ra, up)}L${on(b, rb, up)}` +
		`A${n(rb)} ${n(rb)} 0 0 1 ${on(b, rb, down)}` +
		`L${on(a, ra, down)}A${n(ra)} ${n(ra)} 0 1 1 ${on(a, ra, up)}Z`
	);
}

export function circlePath(c: Point, r: number): string {
	return `M${n(c.x - r)} ${n(c.y)}a${n(r)} ${n(r)} 0 1 0 ${n(2 * r)} 0a${n(r)} ${n(r)} 0 1 0 ${n(-2 * r)} 0Z`;
}

export const polygonPath = (points: readonly Point[]): string =>
	`M${points.map((p) => `${n(p.x)} ${n(p.y)}`).join('L')}Z`;
