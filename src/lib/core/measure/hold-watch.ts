/**
 * A hold that is watched: a phone on the limb, or in a pocket, says when the position was left. Where it settles in the first second is what is held; turned
 * away from it by enough, for long enough, it was lost from the moment it left. A tremble and a breath are no movement.
 */
import { turnedDeg, type Direction, type Held } from './tilt.ts';

/** The hand leaves the phone in so long. @source practice-setting */
export const SETTLES_MS = 1000;
/** Turned away so far, for so long, it is another position. @source practice-setting */
export const AWAY_DEG = 10;
export const AWAY_MS = 500;

export interface HoldWatch {
	/** Where it settled; undefined until then. */
	readonly at: Direction | undefined;
	/** Since when it has been away, ms of the hold; null while it is not. */
	readonly awaySince: number | null;
	/** When the position was lost, ms of the hold; null while it is held. */
	readonly lostAt: number | null;
}

export const NOT_YET: HoldWatch = { at: undefined, awaySince: null, lostAt: null };

/** One reading more. What was lost stays lost. @param read with ms since the hold began */
export function watched(w: HoldWatch, { tMs, up }: Held): HoldWatch {
	if (w.lostAt !== null || tMs < SETTLES_MS) return w;
	if (w.at === undefined) return { ...w, at: up };
	if (turnedDeg(w.at, up) <= AWAY_DEG) return w.awaySince === null ? w : { ...w, awaySince: null };
	const awaySince = w.awaySince ?? tMs;
	return { ...w, awaySince, lostAt: tMs - awaySince >= AWAY_MS ? awaySince : null };
}

/** Whole seconds that were held before it was lost; undefined while it is held. */
export const heldSeconds = ({ lostAt }: HoldWatch): number | undefined =>
	lostAt === null ? undefined : Math.floor(lostAt / 1000);
