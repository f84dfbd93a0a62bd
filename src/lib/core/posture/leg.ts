/**
 * One leg as two links between a known ankle and a known hip, and the foot under it. Metres, radians; the knee bends forward.
 *
 * With D = |hip − ankle|:   κ = π − acos((Ls² + Lt² − D²)/(2 Ls Lt)),   α = atan2(dx, dy) + acos((Ls² + D² − Lt²)/(2 Ls D)),   θ = κ − α.
 */
import { cosine } from '../base/angle.ts';
import { point, type Point } from '../base/vector.ts';
import type { Body } from '../body/body.ts';
import { FOOT } from './constants.ts';

export interface Leg {
	/** Shank lean and thigh inclination from vertical; knee flexion is their sum. */
	readonly shank: number;
	readonly thigh: number;
	readonly knee: number;
	/** How far the hip lies beyond what the leg reaches (or closer than it folds), metres; 0 when it reaches. */
	readonly beyondM: number;
}

/** The leg between hip and ankle, `dx` forward and `dy` up from ankle to hip. Out of reach it is straight, or folded, towards the hip. */
export function legBetween({ shankM: Ls, thighM: Lt }: Body, dx: number, dy: number): Leg {
	const D = Math.sqrt(dx * dx + dy * dy);
	const most = Ls + Lt;
	const least = Math.abs(Ls - Lt);
	const beyondM = D > most ? D - most : D < least ? least - D : 0;
	const d = D > most ? most : D < least ? least : D;
	const knee = Math.PI - Math.acos(cosine((Ls * Ls + Lt * Lt - d * d) / (2 * Ls * Lt)));
	const shank =
		Math.atan2(dx, dy) + (d < 1e-9 ? 0 : Math.acos(cosine((Ls * Ls + d * d - Lt * Lt) / (2 * Ls * d))));
	return { shank, thigh: knee - shank, knee, beyondM };
}

/** Length of the line from ankle to hip at a knee flexion. */
export const legLength = ({ shankM: Ls, thighM: Lt }: Body, knee: number): number =>
	Math.sqrt(Ls * Ls + Lt * Lt + 2 * Ls * Lt * Math.cos(knee));

export interface Foot {
	readonly heel: Point;
	readonly ball: Point;
	readonly toe: Point;
	readonly ankle: Point;
	/** Centre of mass of the foot. */
	readonly centre: Point;
	/** Heel-up pitch, radians. */
	readonly pitch: number;
}

/** A foot with its ball at (ballX, groundY) and its heel up by `pitch`; the toes stay on the ground. */
export function footAt(
	{ footM: Lf, ankleHeightM: ha }: Body,
	ballX: number,
	groundY: number,
	pitch = 0
): Foot {
	const sin = Math.sin(pitch);
	const cos = Math.cos(pitch);
	const r = FOOT.ball * Lf;
	const c = (FOOT.ball - FOOT.ankle) * Lf;
	const heel = point(ballX - r * cos, groundY + r * sin);
	const toe = point(ballX + (1 - FOOT.ball) * Lf, groundY);
	return {
		heel,
		ball: point(ballX, groundY),
		toe,
		ankle: point(ballX - c * cos + ha * sin, groundY + c * sin + ha * cos),
		centre: point(
			ballX - (FOOT.ball - FOOT.centre) * Lf * cos,
			groundY + (FOOT.ball - FOOT.centre) * Lf * sin
		),
		pitch
	};
}

/** A flat foot whose heel stands at (heelX, groundY). */
export const flatFoot = (body: Body, heelX: number, groundY = 0): Foot =>
	footAt(body, heelX + FOOT.ball * body.footM, groundY);

export const kneeOf = ({ shankM: Ls }: Body, ankle: Point, shank: number): Point =>
	point(ankle.x + Ls * Math.sin(shank), ankle.y + Ls * Math.cos(shank));
export const hipOf = ({ thighM: Lt }: Body, knee: Point, thigh: number): Point =>
	point(knee.x - Lt * Math.sin(thigh), knee.y + Lt * Math.cos(thigh));

/** A point of the trunk: u along it from the hip, v ahead of it. */
export const onTrunk = (hip: Point, lean: number, u: number, v = 0): Point =>
	point(hip.x + u * Math.sin(lean) + v * Math.cos(lean), hip.y + u * Math.cos(lean) - v * Math.sin(lean));
