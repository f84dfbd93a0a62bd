/** What a rule is and what it answers. A rule gives its reasons, met or not, so that every "why not" can be opened. */
import type { Facts } from '../facts.ts';
import type { Cause } from '../regress.ts';
import type { ClientRuleId, ExerciseRuleId } from '../rule-id.ts';
import type { Ways } from '../advance.ts';
import type { Decision, ProposedChange, Reason } from '../trace.ts';

/** The facts with what an advance would take. */
export interface Judged extends Facts {
	readonly streak: readonly Reason[];
	readonly ready: boolean;
	readonly ways: Ways;
	readonly paced: Reason | undefined;
}

export interface Finding {
	readonly fired: boolean;
	readonly why: readonly Reason[];
	readonly cause?: Cause;
	readonly decision?: Decision;
	/** The dial to turn first, where the record names one. */
	readonly dial?: string;
	/** The change itself, where it is known already: the mend of what stands. */
	readonly change?: ProposedChange | null;
	readonly alternatives?: readonly { readonly code: string; readonly value?: string | number }[];
}

export interface ExerciseRule {
	readonly rule: ExerciseRuleId;
	readonly decision: Decision;
	readonly judge: (j: Judged) => Finding;
}

/** A client's rule fires by giving reasons. */
export interface ClientRule {
	readonly rule: ClientRuleId;
	readonly decision: Decision;
	readonly judge: (f: Facts) => readonly Reason[];
}

export const PS = 'practice-setting';

export const no = (...why: Reason[]): Finding => ({ fired: false, why });
export const yes = (cause: Cause | undefined, ...why: Reason[]): Finding => ({
	fired: true,
	why,
	...(cause === undefined ? {} : { cause })
});
