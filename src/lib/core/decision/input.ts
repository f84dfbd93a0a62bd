/** Everything a decision is made from. Nothing else is read: no clock, no chance, no store. */
import type { Day } from '../base/calendar-day.ts';
import type { PrescribedDose } from '../dose/dose.ts';
import type { SolvedSetup } from '../movement/context.ts';
import type { Verdict } from '../fit/fit.ts';
import type { Axis, Side } from '../body/axis.ts';
import type { Severity, Urgency } from '../client/screening.ts';
import type { Dial } from '../exercise/dial.ts';
import type { Cause } from '../exercise/family.ts';
import type { Standing } from '../safety/standing.ts';
import type { ArrivedDay, Morning, RecordedEvent, Region, Session } from '../session/record.ts';
import type { Policy } from './policy.ts';

export interface OpenFlag {
	readonly id: string;
	/** A caution holds nothing here: it withholds steps by their tags when they are fitted. */
	readonly severity: Severity;
	/** An emergency outranks other red flags. */
	readonly urgency?: Urgency;
	/** How far it reaches; left out, the whole plan. */
	readonly region?: Region;
	readonly open: boolean;
	readonly closedOn?: Day;
}

export interface DecisionClient {
	readonly screening?: { readonly date: Day; readonly complete: boolean };
	readonly flags: readonly OpenFlag[];
	readonly surgery: readonly {
		readonly region: Region;
		readonly date: Day;
		readonly limitsEntered: boolean;
	}[];
	readonly usual: Readonly<Record<Region, { readonly intake?: number; readonly longStanding?: boolean }>>;
	/** Day on which a licensed user last cleared emergency symptoms; those logged up to it no longer refer. */
	readonly clearedOn?: Day;
	/** The screening says that there was an operation, and none is recorded. */
	readonly operationUnrecorded?: boolean;
	readonly arrivals?: readonly ArrivedDay[];
}

/** A solved notch on a dial, worked out by `fit` for this client. */
export interface NotchOption {
	readonly dial: Dial;
	readonly to: string | number;
	/** A choice inside the step that is turned one place. */
	readonly choice?: string;
	readonly step?: string;
	/** The ladder of the step, where it is another one. */
	readonly family?: string;
	/** It suits only what comes from one of these; left out with a step that is marked `back`, any. */
	readonly causes?: readonly Cause[];
	/** A way back that goes before the easier step. */
	readonly back?: true;
	readonly setup?: SolvedSetup;
	/** A harder place of it goes before a step that turns this dial. */
	readonly before?: Dial;
}

export interface DecisionExercise {
	readonly id: string;
	readonly family: string;
	readonly step: string;
	readonly region: Region;
	readonly purpose: string;
	readonly dose: PrescribedDose;
	readonly setup?: SolvedSetup;
	readonly state: 'active' | 'stopped' | 'set-aside';
	readonly goalKept?: boolean;
	readonly rackKg?: readonly number[];
	readonly frontOfKneeSore?: boolean;
	/** One notch gentler on each dial that has one; only those that fit. */
	readonly gentler?: readonly NotchOption[];
	/** Each ranked choice inside the step one place harder; only those that fit. */
	readonly harder?: readonly NotchOption[];
	/** Does what stands still hold? Left out, it is not known, which is never as good as yes. `retry`: what was left by a regression fits. */
	readonly standing?: Standing & { readonly retry?: boolean };
	/** The faults of its step, each with its cause and the dial it turns first, as the catalogue names them. */
	readonly faults?: Readonly<Record<string, { readonly cause: Cause; readonly dial: string }>>;
	/** A caution keeps it no heavier than today. */
	readonly capped?: boolean;
	/** The movement is feared: confidence leads, whatever the policy. */
	readonly feared?: true;
	/** More pain than this ends the exercise for the day, whatever the policy accepts. */
	readonly endsAbove?: number;
	/** Relief or breathing: it goes on when loaded work of its region stops. */
	readonly relief?: boolean;
}

/** What restarts the streaks of its region: sessions up to that day are history. */
export const RESTARTS = ['limit', 'operation', 'injection', 'flag-closed'] as const;
export type RestartKind = (typeof RESTARTS)[number];

export interface Change {
	readonly date: Day;
	/** The last four are of the region, not of the exercise: they restart its streak. */
	readonly kind: 'start' | 'advance' | 'regress' | 'retry' | 'set-aside' | 'alter' | RestartKind;
	/** What was left, so that it can be retried. */
	readonly from?: { readonly step: string; readonly dose: PrescribedDose; readonly setup?: SolvedSetup };
}

export interface OtherExercise {
	readonly id?: string;
	readonly changedOn: Day;
	readonly peakMinusBefore: number;
	readonly demand: number;
	/** Stopped for a symptom that nobody has cleared: loaded work of the region stops with it. */
	readonly symptomStop?: boolean;
}

/** A next edge of the ladder with its fit and gates. */
export interface NextStep {
	readonly step: string;
	readonly dial: Dial;
	readonly verdict: Verdict;
	readonly gateOpen: boolean;
	readonly gate?: string;
	readonly start?: { readonly sets: number; readonly reps: number };
	readonly target?: { readonly sets: number; readonly reps: number };
	readonly unit?: 'sec' | 'steps' | 'breaths';
	readonly loadKg?: number;
	readonly setup?: SolvedSetup | null;
	readonly measure?: readonly Axis[];
	readonly limiting?: readonly { readonly axis: Axis; readonly side: Side; readonly short: number }[];
}

export interface DecideInput {
	readonly policy: Policy;
	readonly client: DecisionClient;
	readonly exercise: DecisionExercise;
	readonly changes: readonly Change[];
	readonly sessions: readonly Session[];
	readonly mornings: readonly Morning[];
	readonly events?: readonly RecordedEvent[];
	readonly others: readonly OtherExercise[];
	/** Left out: unknown, so that only a dose advance can be open. */
	readonly nextSteps?: readonly NextStep[];
	/** Demand of this exercise on its region, for choosing the suspect; same scale as `others`. */
	readonly demand?: number;
	readonly advancesUsed: number;
	readonly today: Day;
}
