/** A client's plan as its page shows it: what stands now and what it waits for, what is held or ended, what was tried before. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { Decision } from '#lib/core/decision/trace.ts';
import type { Given } from './slip-view.ts';

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
	readonly region: string;
	readonly title: string;
	readonly given: Given;
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

export interface PlanView {
	readonly work: readonly PlannedWork[];
	/** When to stop and whom to call, in the client's language. */
	readonly stop: string;
	readonly call: string;
}
