/**
 * Goals: daily activities the client chose, scored 0–10 (10 is able as before), each of which can be tied to a point on a ladder or
 * to the range that daily life asks for it, so that the distance to it is a number.
 */
import type { Day } from '../base/calendar-day.ts';
import type { Axis, Side } from '../body/axis.ts';
import type { Envelope } from './envelope.ts';

/** What a daily activity asks of hip, knee and ankle, degrees, by a published source. */
export interface TaskDemand {
	readonly hip?: number;
	readonly knee?: number;
	readonly ankle?: number;
	readonly source: string;
}

export interface Activity {
	readonly id: string;
	readonly title: string;
	/** Published demands; more than one where sources differ. */
	readonly demands: readonly TaskDemand[];
	/** Ladder and kind of point it is usually tied to. */
	readonly ladder?: { readonly family: string; readonly step: string; readonly height: 'seat' | 'step' };
}

/** A point on a ladder: a step with the height it is done at. */
export interface LadderPoint {
	readonly family: string;
	readonly step: string;
	readonly heightCm?: number;
	readonly sets?: number;
	readonly reps?: number;
}

/** Why one row of a goal follows another: it was scored again. Anything else puts a mistyped one right, and is no scoring of its own. */
export const SCORED_AGAIN = 'scored again';

/** A goal as it is kept: an activity in the client's words, where it is tied to, and every score it was given. */
export interface Goal {
	readonly id: string;
	readonly activity: string;
	readonly label: string;
	readonly side: Side | null;
	readonly point: LadderPoint | null;
	readonly score: number;
	readonly confidence: number | null;
	/** Every scoring, oldest first; the last is today's. */
	readonly scores: readonly { readonly day: Day; readonly score: number }[];
}

export type Availability = 'yes' | 'borderline' | 'no' | 'not-measured';

export interface TaskRange {
	readonly axis: Axis;
	readonly side: Side;
	readonly demand: number;
	readonly tolerated: number | null;
	readonly short: number;
	readonly answer: Availability;
}

const AXIS_OF = {
	hip: 'thighTrunkFlexion',
	knee: 'kneeFlexion',
	ankle: 'weightBearingDorsiflexion'
} as const;

/**
 * Is the range there? Available when what is tolerated reaches the demand; borderline when it is short by no more than the error of
 * a reading. Published demands are of the hip joint alone, the sitting fold includes pelvis and back: it flatters the hip, so the
 * hip's demand is only held against it as a hint.
 */
export function taskRanges(
	demand: TaskDemand,
	envelope: Envelope,
	sides: readonly Side[],
	errorDeg: number
): readonly TaskRange[] {
	return (['hip', 'knee', 'ankle'] as const).flatMap((joint) => {
		const asked = demand[joint];
		if (asked === undefined) return [];
		const axis = AXIS_OF[joint];
		return sides.map((side): TaskRange => {
			const tolerated = envelope[axis]?.[side]?.tolerable ?? null;
			const short = tolerated === null ? 0 : Math.max(0, asked - tolerated);
			return {
				axis,
				side,
				demand: asked,
				tolerated,
				short,
				answer:
					tolerated === null ? 'not-measured' : short === 0 ? 'yes' : short <= errorDeg ? 'borderline' : 'no'
			};
		});
	});
}

const WORST: readonly Availability[] = ['no', 'not-measured', 'borderline', 'yes'];
/** The worst answer of a task's ranges; a task without ranges is not measured. */
export const taskAnswer = (ranges: readonly TaskRange[]): Availability =>
	WORST.find((a) => ranges.some((r) => r.answer === a)) ?? 'not-measured';

/** Mean of the activities that were scored; undefined for none. Three to five are usual. */
export const activityMean = (scores: readonly number[]): number | undefined =>
	scores.length === 0 ? undefined : scores.reduce((a, b) => a + b, 0) / scores.length;
