/** Furniture and equipment as simple solids, metres, y up: blocks, discs and rods. */
import { point, type Point } from '../base/vector.ts';
import { circlePath, limbPath, polygonPath, screen } from './limb.ts';
import type { Role, Shape } from './shape.ts';

export type Prop =
	| {
			readonly kind: 'block';
			readonly role: Role;
			readonly x0: number;
			readonly x1: number;
			readonly y0: number;
			readonly y1: number;
	  }
	| {
			readonly kind: 'disc';
			readonly role: Role;
			readonly at: Point;
			readonly r: number;
			/** Drawn over the body. */ readonly over?: true;
	  }
	| { readonly kind: 'rod'; readonly role: Role; readonly a: Point; readonly b: Point; readonly r: number }
	| { readonly kind: 'wedge'; readonly role: Role; readonly heel: Point; readonly ball: Point };

export function propShape(prop: Prop, id: string): Shape {
	switch (prop.kind) {
		case 'block':
			return {
				id,
				role: prop.role,
				d: polygonPath([
					screen(point(prop.x0, prop.y0)),
					screen(point(prop.x1, prop.y0)),
					screen(point(prop.x1, prop.y1)),
					screen(point(prop.x0, prop.y1))
				])
			};
		case 'disc':
			return { id, role: prop.role, d: circlePath(screen(prop.at), 100 * prop.r) };
		case 'rod':
			return { id, role: prop.role, d: limbPath(screen(prop.a), screen(prop.b), 100 * prop.r, 100 * prop.r) };
		case 'wedge': {
			const [a, b] = [screen(prop.heel), screen(prop.ball)];
			return { id, role: prop.role, d: polygonPath([{ x: a.x - 1, y: a.y }, b, { x: a.x - 1, y: 0 }]) };
		}
	}
}

/** A chair or stool: a seat on two legs. */
export const chair = (x0: number, x1: number, top: number): readonly Prop[] => [
	{ kind: 'block', role: 'furniture', x0, x1, y0: top - 0.026, y1: top },
	{ kind: 'block', role: 'furniture', x0: x0 + 0.02, x1: x0 + 0.042, y0: 0, y1: top - 0.026 },
	{ kind: 'block', role: 'furniture', x0: x1 - 0.06, x1: x1 - 0.038, y0: 0, y1: top - 0.026 }
];

export const weightRadius = (kg: number): number => 0.032 + Math.cbrt(Math.max(0, kg)) * 0.016;
