/** The body map as shapes: our own drawing, from the front and from behind, 160 × 372 units a figure, mirrored for the other side. */
import type { Part } from '#lib/core/body/place.ts';

export interface MapShape {
	readonly part: Part;
	readonly cx: number;
	readonly cy: number;
	readonly rx: number;
	readonly ry: number;
	readonly sided: boolean;
}

const at = (part: Part, cx: number, cy: number, rx: number, ry: number, sided = true): MapShape => ({
	part,
	cx,
	cy,
	rx,
	ry,
	sided
});

/** Half of each view, on the viewer's left; the other half is its mirror. */
export const FRONT: readonly MapShape[] = [
	at('shoulder', 47, 74, 12, 12),
	at('elbow', 33, 130, 8, 11),
	at('wrist', 27, 182, 7, 9),
	at('hip', 54, 182, 9, 14),
	at('groin', 69, 196, 8, 9),
	at('thigh', 61, 234, 12, 25),
	at('knee', 63, 276, 11, 12),
	at('shin', 64, 312, 9, 21),
	at('ankle', 64, 343, 7, 7),
	at('foot', 60, 357, 11, 7)
];
export const BACK: readonly MapShape[] = [
	at('neck', 80, 52, 8, 8, false),
	at('shoulder', 47, 74, 12, 12),
	at('elbow', 33, 130, 8, 11),
	at('wrist', 27, 182, 7, 9),
	at('back', 80, 138, 17, 26, false),
	at('buttock', 64, 192, 14, 15),
	at('thigh', 62, 236, 12, 24),
	at('knee', 63, 276, 11, 11),
	at('shin', 64, 310, 10, 21),
	at('ankle', 64, 343, 7, 8),
	at('foot', 62, 357, 9, 6)
];

/** Outline of a standing body, half of it; drawn with its mirror. */
export const OUTLINE =
	'M80 60C66 60 52 60 44 66C34 72 34 92 32 108C30 126 24 150 21 172L20 190Q22 200 29 196L34 178C38 156 42 136 47 116C49 134 50 146 48 160C44 178 46 196 48 214C50 240 52 254 52 276C53 300 55 322 57 340L48 356Q46 364 56 364L72 362Q74 350 73 338C74 312 76 286 76 268C77 246 79 224 80 208';

export interface Place {
	readonly region: string;
	readonly view: 'front' | 'back';
	readonly shape: MapShape;
	/** Drawn mirrored on the viewer's right. */
	readonly mirrored: boolean;
}

/** Every place of the map. From the front the client's right is on the viewer's left, as when facing; from behind the left is. */
export const PLACES: readonly Place[] = (['front', 'back'] as const).flatMap((view) =>
	(view === 'front' ? FRONT : BACK).flatMap((shape): Place[] => {
		if (!shape.sided) return [{ region: shape.part, view, shape, mirrored: false }];
		const near = view === 'front' ? 'right' : 'left';
		const far = near === 'right' ? 'left' : 'right';
		return [
			{ region: `${shape.part}-${near}`, view, shape, mirrored: false },
			{ region: `${shape.part}-${far}`, view, shape, mirrored: true }
		];
	})
);
