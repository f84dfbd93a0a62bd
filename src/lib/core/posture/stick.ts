/**
 * A solved pose as points: the working (near) leg, the other (far) leg, trunk and hand. What the drawing and the tests read; metres,
 * x towards the toes, y up from the floor.
 */
import type { Point } from '../base/vector.ts';
import type { Body } from '../body/body.ts';
import { hipOf, kneeOf, onTrunk, type Foot } from './leg.ts';

export interface LegPoints {
	readonly heel: Point;
	readonly ball: Point;
	readonly toe: Point;
	readonly ankle: Point;
	readonly knee: Point;
}

export interface Stick {
	readonly near: LegPoints;
	/** Left out where both legs do the same. */
	readonly far?: LegPoints;
	readonly hip: Point;
	readonly shoulder: Point;
	/** Where the hands are; left out they hang or rest as the drawing likes. */
	readonly hand?: Point;
}

export const legPoints = (body: Body, foot: Foot, shank: number): LegPoints => ({
	heel: foot.heel,
	ball: foot.ball,
	toe: foot.toe,
	ankle: foot.ankle,
	knee: kneeOf(body, foot.ankle, shank)
});

/** A stick on one foot: the near leg from its foot up, trunk by its lean. */
export function stickOn(body: Body, foot: Foot, shank: number, thigh: number, lean: number): Stick {
	const near = legPoints(body, foot, shank);
	const hip = hipOf(body, near.knee, thigh);
	return { near, hip, shoulder: onTrunk(hip, lean, body.trunkM) };
}
