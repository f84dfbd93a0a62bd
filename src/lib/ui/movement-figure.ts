/** The movement, drawn at the moment pain comes: a chair squat early, in the middle, at the bottom, on the way back. */
import type { Body } from '#lib/core/body/body.ts';
import { figureOf } from '#lib/core/figure/figure.ts';
import type { Figure } from '#lib/core/figure/shape.ts';
import { posture } from '#lib/core/posture/posture.ts';
import type { PainAt } from '#lib/core/session/record.ts';

export const MOMENTS = [
	'early',
	'middle',
	'late',
	'return',
	'throughout'
] as const satisfies readonly PainAt[];

const THIGH: Readonly<Record<PainAt, number>> = {
	early: 22,
	middle: 52,
	late: 88,
	return: 52,
	throughout: 70
};

export function movementFigure(body: Body, moment: PainAt): Figure {
	const p = posture({ body, movement: 'squat', technique: 'parallel', depth: { thighDeg: THIGH[moment] } });
	return figureOf({ body, posture: p, arms: 'forward', stance: 'both', held: false, limiting: [] });
}
