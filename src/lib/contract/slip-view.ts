/** A decision slip as its page shows it: words are made, figures are drawn there. */
import type { Day } from '#lib/core/base/calendar-day.ts';
import type { RuleId } from '#lib/core/decision/rule-id.ts';
import type { Decision } from '#lib/core/decision/trace.ts';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import type { SolvedSetup } from '#lib/core/movement/context.ts';

/** Something prescribed: a step, its dose and set-up. */
export interface Given {
	readonly step: string;
	readonly dose: PrescribedDose;
	readonly setup?: SolvedSetup | null;
}

export interface SlipSession {
	readonly date: Day;
	/** Since the last change, so that it counts. */
	readonly counts: boolean;
	readonly work: string;
	readonly effort: number | null;
	readonly before: number | null;
	readonly peak: number | null;
	readonly after: number | null;
	/** Told at home, on the evening of that day. */
	readonly evening: number | null;
	/** The next morning. */
	readonly next: number | null;
	readonly seen: boolean;
}

export interface SlipView {
	readonly exerciseId: string;
	readonly region: string;
	readonly hash: string;
	readonly basedOn: string;
	readonly state: string;
	readonly ids: { readonly id: string; readonly prescriptionId: string };
	readonly title: string;
	/** Why it was prescribed past what closes it. */
	readonly passedOver: string | null;
	readonly now: Given;
	readonly next: Given | null;
	readonly decision: Decision;
	/** Signing mends what no longer holds. */
	readonly mend: boolean;
	/** Can be agreed to with others in one go; and would change nothing. */
	readonly together: boolean;
	readonly quiet: boolean;
	readonly rule: RuleId;
	readonly provisional: boolean;
	readonly usual: number;
	readonly policy: { readonly id: string; readonly version: string };
	readonly sentence: string;
	readonly change: string | null;
	readonly flip: string | null;
	readonly outlook: string;
	readonly alternatives: readonly string[];
	readonly reasons: readonly { readonly text: string; readonly source: string; readonly met: boolean }[];
	readonly considered: readonly { readonly rule: RuleId; readonly fired: boolean; readonly why: string }[];
	readonly sessions: readonly SlipSession[];
	readonly answered: { readonly by: string; readonly text: string } | null;
	/** What keeps whoever looks from signing it; null where nothing does. */
	readonly closed: string | null;
}
