/** A decision and all that led to it: codes and numbers; `wording` makes sentences of them. */
import type { Day } from '../base/calendar-day.ts';
import type { Axis, Side } from '../body/axis.ts';
import type { PrescribedDose } from '../dose/dose.ts';
import type { SolvedSetup } from '../movement/context.ts';
import type { ReasonCode } from './reason-code.ts';
import type { RuleId } from './rule-id.ts';

/** From least to most ambitious; wait and hold stand equal. */
export const DECISIONS = ['refer', 'stop', 'regress', 'wait', 'hold', 'advance'] as const;
export type Decision = (typeof DECISIONS)[number];
/** What a client waits for, that gives way to a stop or a regression of the exercise and is named beside it. */
export const YIELDING_WAITS = [
	'wait.review',
	'wait.unwell',
	'wait.fall'
] as const satisfies readonly RuleId[];

export const AMBITION: Readonly<Record<Decision, number>> = {
	refer: 0,
	stop: 1,
	regress: 2,
	wait: 3,
	hold: 3,
	advance: 4
};

export interface Reason {
	readonly code: ReasonCode;
	readonly met: boolean;
	readonly value?: number | string | null;
	readonly threshold?: number | string | null;
	readonly source: string;
	readonly day?: Day;
	readonly region?: string;
	readonly axis?: Axis;
	readonly side?: Side;
}

export interface RuleFinding {
	readonly rule: RuleId;
	readonly fired: boolean;
	readonly why: readonly Reason[];
}

export interface Prescribed {
	readonly step: string;
	readonly dose: PrescribedDose;
	readonly setup?: SolvedSetup;
}

/** The exact change: one dial, from, to, and the whole prescription it makes. */
export interface ProposedChange {
	readonly kind:
		'dose' | 'dial' | 'step' | 'retry' | 'set-aside' | 'technique' | 'frequency' | 'mend' | 'choice';
	readonly dial: string;
	readonly from: string | number | null;
	readonly to: string | number | null;
	readonly result: Prescribed;
}

export interface Flip {
	readonly input: string;
	readonly from: number | null;
	readonly to: number;
	readonly decision: Decision;
	readonly rule: RuleId;
}

export interface Trace {
	readonly level: 'client' | 'region' | 'exercise';
	readonly decision: Decision;
	readonly rule: RuleId;
	readonly reasons: readonly Reason[];
	readonly considered: readonly RuleFinding[];
	readonly change: ProposedChange | null;
	/** Other things worth doing: sets × 0.6, a substitute for a purpose, a pelvic-health review. */
	readonly alternatives: readonly { readonly code: string; readonly value?: string | number }[];
	readonly nearestFlip: Flip | null;
	/** For a missing morning: the answer each value would give. */
	readonly outlook: readonly {
		readonly morning: number;
		readonly decision: Decision;
		readonly rule: RuleId;
	}[];
	readonly policy: { readonly id: string; readonly version: string };
	readonly usual: number;
	readonly provisional: boolean;
	readonly engine: string;
}

/** Engine version: raised with every changed rule or threshold. */
export const ENGINE_VERSION = '2';
