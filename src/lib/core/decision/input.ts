/** Everything a decision is made from. Nothing else is read: no clock, no chance, no store. */
import type { Day } from '../base/calendar-day.ts';
import type { PrescribedDose } from '../dose/dose.ts';
import type { SolvedSetup } from '../fit/context.ts';
import type { Verdict } from '../fit/fit.ts';
import type { Axis, Side } from '../body/axis.ts';
import type { Severity, Urgency } from '../client/screening.ts';
import type { Dial } from '../exercise/dial.ts';
import type { Morning, RecordedEvent, Region, Session } from '../session/record.ts';
import type { Policy } from './policy.ts';

export interface OpenFlag {
	readonly id: string;
	/** A caution holds nothing here: it withholds steps by their tags when they are fitted. */
	readonly severity: Severity;
	/** An emergency outranks other red flags. */
	readonly urgency?: Urgency;
	readonly region?: Region;
	readonly open: boolean;
}

export interface DecisionClient {
	readonly screening?: { readonly date: Day; readonly complete: boolean };
	readonly flags: readonly OpenFlag[];
	readonly surgery: readonly { readonly region: Region; readonly date: Day; readonly limitsEntered: boolean }[];
	readonly usual: Readonly<Record<Region, { readonly intake?: number; readonly longStanding?: boolean }>>;
	/** Day on which a licensed user last cleared emergency symptoms; those logged up to it no longer refer. */
	readonly clearedOn?: Day;
}

/** A solved notch on a dial, worked out by `fit` for this client. */
export interface NotchOption {
	readonly dial: Dial;
	readonly to: string | number;
	readonly step?: string;
	readonly setup?: SolvedSetup;
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
	/** One notch gentler on each dial that has one. */
	readonly gentler?: readonly NotchOption[];
}

export interface Change {
	readonly date: Day;
	readonly kind: 'start' | 'advance' | 'regress' | 'retry' | 'set-aside' | 'alter';
	/** What was left, so that it can be retried. */
	readonly from?: { readonly step: string; readonly dose: PrescribedDose; readonly setup?: SolvedSetup };
}

export interface OtherExercise {
	readonly id?: string;
	readonly changedOn: Day;
	readonly peakMinusBefore: number;
	readonly demand: number;
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
