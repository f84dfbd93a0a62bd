/** A client's plan as its page shows it: what stands now and what it waits for, what is held or ended, what was tried before. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Decision } from '#lib/core/decision/trace.ts';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import type { Particulars } from '#lib/core/dose/particulars.ts';
import type { SolvedSetup } from '#lib/core/movement/context.ts';
import type { Group } from '#lib/core/exercise/plan-order.ts';
import type { Given } from './slip-view.ts';

/** An exercise in the plan, as the ladders need it. */
export interface NowView {
	readonly exerciseId: string;
	readonly family: string;
	readonly step: string;
	readonly region: string;
	readonly dose: PrescribedDose;
	readonly setup: SolvedSetup | null;
	readonly title: string;
	readonly particulars: Particulars;
	readonly state: 'active' | 'stopped' | 'set-aside' | 'ended';
	/** Why it is held now, with its mend; null where it stands. */
	readonly held: string | null;
}

/** What was given before, and how it ended. */
export interface Tried {
	readonly title: string;
	readonly dose: string;
	readonly setup: string;
	readonly until: Day;
	readonly ended: string;
}

export interface PlannedWork {
	readonly exerciseId: string;
	/** What stands now, and the id of a form that changes it. */
	readonly basedOn: string;
	readonly formId: string;
	readonly family: string;
	readonly purpose: string;
	readonly region: string;
	readonly title: string;
	readonly given: Given;
	/** Hold, tempo, rest and the rest of it, in words; empty where nothing was said. */
	readonly how: readonly string[];
	readonly note: string | null;
	readonly since: Day;
	/** stands; held by a limit, flag or clearance; stopped, or set aside, by a slip. */
	readonly state: 'stands' | 'held' | 'stopped' | 'set-aside';
	/** Why it is held; why a licensed user gave it past what closes it. */
	readonly heldBy: string | null;
	readonly passedOver: string | null;
	/** Why it was set aside. */
	readonly because: string | null;
	/** How much more upright the shins stand than taught; empty where they stand as taught. */
	readonly upright: string;
	readonly decision: Decision;
	/** What it waits for, or what is proposed. */
	readonly sentence: string;
	readonly answered: boolean;
	readonly last: { readonly day: Day; readonly worst: number | null } | null;
	/** The latest first. */
	readonly tried: readonly Tried[];
}

/** What was in the plan and has ended, with the reason. */
export interface EndedWork {
	readonly exerciseId: string;
	readonly basedOn: string;
	readonly formId: string;
	readonly region: string;
	readonly title: string;
	readonly dose: string;
	readonly from: Day;
	readonly until: Day;
	readonly reason: string;
	readonly sessions: number;
}

export interface PlanView {
	/** In the order of a session. */
	readonly groups: Readonly<Record<Group, readonly PlannedWork[]>>;
	/** The arrangement it stands in; null where nobody arranged it. */
	readonly order: string | null;
	/** Latest first. */
	readonly ended: readonly EndedWork[];
	/** When to stop and whom to call, in the client's language. */
	readonly stop: string;
	readonly call: string;
}
