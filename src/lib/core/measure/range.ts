/**
 * A measured range: where the movement starts to hurt (onset), where it becomes too much (tolerable) and where it ends, degrees,
 * with the pain there. Refuses what cannot be; asks again about what looks like another unit or a swapped side.
 */
import { refuse, ok, type Refusal, type Result } from '../base/result.ts';

export const RANGE_FIELDS = ['onset', 'tolerable', 'end'] as const;
export type RangeField = (typeof RANGE_FIELDS)[number];

export interface RangeInput {
	readonly onset?: number;
	readonly tolerable?: number;
	readonly end?: number;
	readonly pain?: number;
}

export interface MeasuredRange {
	readonly painFree: number;
	readonly tolerable: number;
	readonly end: number;
	readonly pain: number;
}

/** What is possible for the movement and what it is called on the sheet. */
export interface RangeBounds {
	readonly name: string;
	readonly possible: readonly [number, number];
}

/** Radians of the largest angle: a broken number this small is hardly a range in degrees. */
const RADIANS = Math.PI;

/** What is wrong with one of its angles by itself. */
function unlikely(
	{ name, possible: [low, high] }: RangeBounds,
	field: (typeof RANGE_FIELDS)[number],
	v: number | undefined
): Refusal | undefined {
	if (v === undefined) return undefined;
	if (!(v >= low && v <= high))
		return {
			reason: 'impossible-angle',
			field,
			message: `${name} ${field} of ${v}° is outside what a joint does (${low} to ${high}°).`
		};
	if (looksLikeRadians(v, high))
		return {
			reason: 'wrong-unit',
			field,
			message: `${name} ${field} of ${v}: give degrees. If this is radians it is ${Math.round((v * 180) / Math.PI)}°.`
		};
	return undefined;
}

/**
 * Completes a range: a missing onset means no pain up to the tolerable end; a missing tolerable means up to the end. At least one
 * of the three is needed.
 * @example measuredRange({ name: 'Knee bend', possible: [0, 165] }, { onset: 80, end: 120 }) → painFree 80, tolerable 120, end 120
 */
export function measuredRange(bounds: RangeBounds, input: RangeInput): Result<MeasuredRange, Refusal> {
	for (const field of RANGE_FIELDS) {
		const wrong = unlikely(bounds, field, input[field]);
		if (wrong !== undefined) return refuse(wrong);
	}
	const { name } = bounds;
	const pain = input.pain ?? 0;
	if (!(pain >= 0 && pain <= 10))
		return refuse({ reason: 'pain-scale', field: 'pain', message: `Pain is 0 to 10; ${pain} is not.` });
	const end = input.end ?? input.tolerable ?? input.onset;
	if (end === undefined)
		return refuse({
			reason: 'empty',
			field: 'end',
			message: `${name}: give at least one of onset, tolerable, end.`
		});
	const tolerable = input.tolerable ?? end;
	const painFree = input.onset ?? tolerable;
	if (tolerable > end)
		return refuse({
			reason: 'order',
			field: 'end',
			message: `${name}: the end (${end}°) comes before tolerable (${tolerable}°); it should be ${tolerable}° or more.`
		});
	if (painFree > tolerable)
		return refuse({
			reason: 'order',
			field: 'tolerable',
			message: `${name}: tolerable (${tolerable}°) comes before the onset (${painFree}°); it should be ${painFree}° or more.`
		});
	return ok({ painFree, tolerable, end, pain });
}

/** 1.2 for a knee is a fraction of a radian circle, not a bend that anybody measures; whole degrees pass, and small ranges too. */
const looksLikeRadians = (v: number, high: number): boolean =>
	high >= 60 && v > 0 && v <= RADIANS && !Number.isInteger(v);

/** Farther than this from every other reading of a movement is asked about: a digit left out, another unit, another joint. @source common-practice */
const FAR_DEG = 30;
/** A side that was never read may well be that far from the other: a sore knee beside a sound one. @source common-practice */
const FAR_FROM_OTHER_SIDE_DEG = 60;

/** Is a reading far from all others of its movement: those of its own side, of any day, and those of the other? Degrees. */
export function farFromAll(now: number, own: readonly number[], other: readonly number[]): boolean {
	const all = [...own, ...other];
	const line = own.length > 0 ? FAR_DEG : FAR_FROM_OTHER_SIDE_DEG;
	return all.length > 0 && all.every((o) => Math.abs(now - o) > line);
}

export interface Sides {
	readonly left: number;
	readonly right: number;
}

/**
 * Do left and right look swapped against the last sheet? True when the sides differed clearly then, differ clearly now, the other
 * way round, and the crossed values match far better than the straight ones. Degrees; `errorDeg` of one reading.
 */
export function looksSwapped(now: Sides, last: Sides, errorDeg: number): boolean {
	const clear = 2 * errorDeg;
	if (Math.abs(last.left - last.right) < clear || Math.abs(now.left - now.right) < clear) return false;
	const straight = Math.abs(now.left - last.left) + Math.abs(now.right - last.right);
	const crossed = Math.abs(now.left - last.right) + Math.abs(now.right - last.left);
	return crossed + clear < straight;
}
