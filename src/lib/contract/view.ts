/** What pages of a client share: the header's facts, already in the page's own terms. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Axis, Side } from '#lib/core/body/axis.ts';
import type { EnteredLimit, Phase } from '#lib/core/client/protocol.ts';
import type { Availability, Goal, TaskRange } from '#lib/core/client/goal.ts';
import type { Severity, Urgency, Withheld } from '#lib/core/client/screening.ts';
import type { GoalDistance } from '#lib/core/fit/goal-distance.ts';
import type { Retest, Unlock } from '#lib/core/fit/unlocks.ts';
import type { Change } from '#lib/core/measure/change.ts';
import type { RangeId, SideDifference, Stop } from '#lib/core/measure/range-kind.ts';

/** A limit as pages show it. */
export interface Limit extends EnteredLimit {
	readonly id: string;
	readonly source: string;
	readonly reviewOn: Day | null;
}

/** An operation with the protocol that stands for it. */
export interface Surgery {
	readonly id: string;
	readonly region: string;
	readonly date: Day;
	readonly operation: string | null;
	readonly limitsEntered: boolean;
	/** Who said, and when, that no limits hold. */
	readonly noLimits: string | null;
	readonly protocol: {
		readonly source: string;
		readonly reviewOn: Day | null;
		readonly phases: readonly Phase[];
	} | null;
}

export type WorkPlace =
	| 'screen'
	| 'ask'
	| 'measure'
	| 'envelope'
	| 'plan'
	| 'week'
	| 'hand'
	| 'ladders'
	| 'arrive'
	| 'session'
	| 'log'
	| 'morning'
	| 'decide'
	| 'trend'
	| 'record';
export const WORK_GROUPS = ['know', 'plan', 'do', 'judge'] as const;
export type WorkGroup = (typeof WORK_GROUPS)[number];

/** One place of the work on a client: its name, its key, and where it stands. */
export interface WorkEntry {
	readonly to: WorkPlace;
	readonly label: string;
	readonly key: string;
	readonly group: WorkGroup;
	/** "3 unanswered", "due 2 Mar", "1 to sign"; empty where there is nothing to say. */
	readonly state: string;
	readonly tone: 'plain' | 'due' | 'stop' | 'act';
}

/** A part of the first visit. */
export interface FirstStep {
	readonly to: WorkPlace;
	readonly label: string;
	readonly status: 'completed' | 'current' | 'pending';
}

export interface WorkView {
	readonly entries: readonly WorkEntry[];
	/** The way to the first exercise; null once one was given. */
	readonly first: readonly FirstStep[] | null;
	/** Where the next thing is done, from the client's own address on, and what it is. */
	readonly next: { readonly to: string; readonly text: string } | null;
}

export interface HeadView {
	readonly id: string;
	readonly name: string;
	readonly age: number;
	readonly occupation: string;
	readonly regions: readonly string[];
	/** Height and mass in the client's own units. */
	readonly build: string;
	readonly technique: string | null;
	readonly policy: string;
	readonly goal: string | null;
	readonly flags: readonly {
		readonly id: string;
		readonly name: string;
		readonly action: string;
		readonly severity: Severity;
		readonly urgency: Urgency;
		readonly day: Day;
	}[];
	readonly limits: readonly {
		readonly id: string;
		readonly text: string;
		readonly review: string | null;
		readonly overdue: boolean;
	}[];
	/** Operations: where in its protocol each is, or that it waits for one. */
	readonly operations: readonly { readonly id: string; readonly text: string; readonly waits: boolean }[];
	/** What is prescribed and held now: why, and where its mend is signed. */
	readonly held: readonly { readonly exerciseId: string; readonly title: string; readonly text: string }[];
	readonly work: WorkView;
	readonly limitingJoint: string | null;
	readonly screening: string | null;
	readonly licensed: boolean;
	readonly today: Day;
	/** Where they live, where that is another zone than the practice's; `today` is the day there. */
	readonly away?: { readonly tz: string; readonly today: Day };
}

/** A goal with its scores, the change that counts, and its distance. */
export interface GoalView extends Goal {
	readonly change: Change | null;
	/** By the ladder, where its family is here. */
	readonly distance: GoalDistance | null;
	/** By what daily life asks, source by source. */
	readonly ranges: readonly {
		readonly source: string;
		readonly answer: Availability;
		readonly worst: TaskRange | null;
	}[];
}

export interface MeanView {
	readonly first: number;
	readonly now: number;
	readonly change: Change;
}

/** The latest reading of a movement and side. */
export interface LastRange {
	readonly onset: number;
	readonly tolerable: number;
	readonly end: number;
	readonly pain: number;
	readonly rawCm: number | null;
	readonly day: Day;
	readonly method: string;
	readonly stop: Stop | null;
}

export interface LastTest {
	readonly side: Side | null;
	readonly value: number;
	readonly day: Day;
}

/** One axis and side of the envelope. Degrees. */
export interface EnvelopeRow {
	readonly axis: Axis;
	readonly side: Side;
	readonly known: {
		readonly painFree: number;
		readonly tolerable: number;
		readonly end: number;
		readonly from: 'measured' | 'observed' | 'painful-set';
		readonly day: Day;
		readonly ageDays: number;
		readonly stale: boolean;
	} | null;
	/** After the margin and any protocol limit. */
	readonly usable: number | null;
	readonly protocolMax: number | null;
	readonly method: { readonly name: string; readonly errorDeg: number; readonly source: string } | null;
	readonly rawCm: number | null;
	readonly pain: number | null;
	readonly usual: { readonly low: number; readonly high: number } | null;
	/** Logged set-ups seen, settled and not painful: evidence on this axis. */
	readonly seen: number;
}

export interface OtherRange {
	readonly id: RangeId;
	readonly left: number | null;
	readonly right: number | null;
	readonly day: Day;
	readonly difference: SideDifference | null;
	readonly usual: { readonly low: number; readonly high: number } | null;
}

export interface EnvelopeView {
	readonly rows: readonly EnvelopeRow[];
	readonly unlocks: readonly Unlock[];
	readonly retest: readonly Retest[];
	/** Steps of the ladders in use, and how many of them are open, as the ladders count them. */
	readonly steps: number;
	readonly open: number;
	/** How many range and room allow, whatever gate they wait for. */
	readonly allowed: number;
	readonly withheld: readonly { readonly step: string; readonly withheld: readonly Withheld[] }[];
	readonly base: 'painFree' | 'tolerable';
	readonly marginDeg: number;
	readonly others: readonly OtherRange[];
}
