/**
 * A range read by two holds of a phone laid on the limb: still for a second where it starts, still for two where it ends, so that somebody who moves slowly is not
 * read on the way; what lies between is the range.
 * Said with both tilts, so that whoever reads it can check the start.
 */
import { stillAt, turnedDeg, type Direction, type Held } from './tilt.ts';

/** The two holds are apart by so much at least, or the second is the first one still. @source practice-setting */
export const LEAST_APART_DEG = 5;
/** A stillness is the same one a second later, within so much. @source practice-setting */
const SAME_MS = 1000;
const SAME_DEG = 1;
/** Three seconds of readings: only the last one is asked. */
const KEPT_MS = 3000;

export interface TwoHolds {
	readonly held: readonly Held[];
	readonly start: Direction | undefined;
	/** Still, far enough from the start: the end, if it is so a second later. */
	readonly maybe: Held | undefined;
	readonly end: Direction | undefined;
}

export const NO_HOLD: TwoHolds = { held: [], start: undefined, maybe: undefined, end: undefined };

/** One reading more. The second hold is the first stillness far enough from the start; after it nothing changes. */
export function nextHold(t: TwoHolds, read: Held): TwoHolds {
	if (t.end !== undefined) return t;
	const held = [...t.held.filter((h) => h.tMs >= read.tMs - KEPT_MS), read];
	const still = stillAt(held);
	if (still === undefined) return { ...t, held, maybe: undefined };
	if (t.start === undefined) return { ...NO_HOLD, start: still };
	if (turnedDeg(t.start, still) < LEAST_APART_DEG) return { ...t, held, maybe: undefined };
	const { maybe } = t;
	if (maybe === undefined || turnedDeg(maybe.up, still) > SAME_DEG)
		return { ...t, held, maybe: { tMs: read.tMs, up: still } };
	return read.tMs - maybe.tMs < SAME_MS ? { ...t, held } : { ...t, held: [], end: still };
}

const PLUMB: Direction = [0, 1, 0];

/** Degrees from upright of each hold, and how far apart they are; undefined until both are there. */
export const readHolds = ({
	start,
	end
}: TwoHolds):
	{ readonly startDeg: number; readonly endDeg: number; readonly apartDeg: number } | undefined =>
	start === undefined || end === undefined
		? undefined
		: {
				startDeg: turnedDeg(PLUMB, start),
				endDeg: turnedDeg(PLUMB, end),
				apartDeg: turnedDeg(start, end)
			};
