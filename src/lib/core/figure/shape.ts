/** What a drawing is made of: path text with a role that the page colours, joints that can be ringed, labels with a height. */
import type { Axis } from '../body/axis.ts';

export type Role =
	'far' | 'leg' | 'trunk' | 'skin' | 'shoe' | 'furniture' | 'wedge' | 'load' | 'support' | 'band' | 'soft';

export interface Shape {
	readonly id: string;
	readonly role: Role;
	readonly d: string;
}

export interface Joint {
	readonly id: 'hip' | 'knee' | 'ankle' | 'shoulder' | 'far-hip' | 'far-knee' | 'far-toe';
	readonly axis?: Axis;
	readonly x: number;
	readonly y: number;
	readonly ringed: boolean;
}

export interface Label {
	readonly x: number;
	readonly y: number;
	readonly cm: number;
	readonly of: 'seat' | 'wedge' | 'step' | 'handle' | 'riser' | 'bench' | 'feet' | 'sled';
}

export interface Figure {
	/** min x, min y, width, height in cm, floor at y = 0. */
	readonly viewBox: readonly [number, number, number, number];
	/** Top of the head, cm (negative is up): where a tight frame may be cut. */
	readonly top: number;
	readonly shapes: readonly Shape[];
	readonly joints: readonly Joint[];
	/** Heights to write beside the furniture. */
	readonly labels: readonly Label[];
}
