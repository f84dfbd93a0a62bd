/**
 * What is noted of a stretch: which side is tighter, and what stops it. The tighter side goes first and gets a little more.
 * @source common-practice
 */
import type { Side } from '../body/axis.ts';
import type { Session, STOPS_A_STRETCH } from './record.ts';

export interface Tighter {
	/** Null where both are alike, or only what stops it was said. */
	readonly first: Side | null;
	readonly stoppedBy: (typeof STOPS_A_STRETCH)[number] | null;
}

/** What was said of it last, each by itself; null where nothing holds. Sessions in the order they were done. */
export function tighterOf(sessions: readonly Pick<Session, 'tighter' | 'stoppedBy'>[]): Tighter | null {
	const side = sessions.findLast((s) => s.tighter !== undefined)?.tighter;
	const first = side === undefined || side === 'alike' ? null : side;
	const stoppedBy = sessions.findLast((s) => s.stoppedBy !== undefined)?.stoppedBy ?? null;
	return first === null && stoppedBy === null ? null : { first, stoppedBy };
}
