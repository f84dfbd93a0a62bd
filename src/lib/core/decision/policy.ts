/**
 * A policy: the practice's own rules for pain, effort, form and pace. Immutable by version; every decision names the one it was
 * made under. `null` switches a criterion off (the quota school records form and confidence only).
 */
import type { FitRules } from '../movement/rules.ts';

export type MorningRule = 'back-to-usual' | 'up-to-five' | 'provocation';

export interface Policy {
	readonly id: string;
	readonly version: string;
	/** Safe: peak no higher than this … */
	readonly safeMax: number;
	/** … and, where true, no higher than usual. */
	readonly safeWithinUsual: boolean;
	readonly acceptableMax: number;
	readonly stopAt: number;
	/** Points above usual next morning that hold, and that regress. */
	readonly morningHold: number;
	readonly morningRegress: number;
	/** The hold line met in two of three sessions regresses too. */
	readonly morningRegressTwice: boolean;
	readonly morningRule: MorningRule;
	readonly trendStep: number;
	readonly streak: number;
	readonly streakDays: number;
	readonly observedNeeded: number;
	readonly cleanShare: number | null;
	readonly easeMax: number | null;
	readonly confidenceMin: number | null;
	readonly advancesPerReview: number;
	readonly minDaysBetweenAdvances: number;
	readonly rangeStaleDays: number;
	readonly marginDeg: number;
	readonly loadedMarginDeg: number;
	readonly sorenessHold: number;
	readonly screeningDays: number;
	readonly weakSideShare: number;
	readonly rangeBase: FitRules['base'];
	readonly licensedOnly: boolean;
}

/** What a policy says of ranges. */
export const fitRulesOf = (p: Policy): FitRules => ({
	base: p.rangeBase,
	marginDeg: p.marginDeg,
	loadedMarginDeg: p.loadedMarginDeg,
	staleDays: p.rangeStaleDays
});

/** What a practice sets for all its clients, whatever their policy; null leaves the policy's own. */
export interface PracticeIntervals {
	readonly screeningWeeks: number | null;
	readonly retestWeeks: number | null;
}

/** A policy as this practice runs it: how long a screening and a measured range hold. */
export const policyHere = (p: Policy, { screeningWeeks, retestWeeks }: PracticeIntervals): Policy =>
	screeningWeeks === null && retestWeeks === null
		? p
		: {
				...p,
				...(screeningWeeks === null ? {} : { screeningDays: 7 * screeningWeeks }),
				...(retestWeeks === null ? {} : { rangeStaleDays: 7 * retestWeeks })
			};

/** A policy holds together: safeMax ≤ acceptableMax < stopAt, hold line not above the regress line. Empty is valid. */
export function policyFaults(p: Policy): readonly string[] {
	const out: string[] = [];
	if (p.safeMax > p.acceptableMax) out.push(`safeMax ${p.safeMax} is above acceptableMax ${p.acceptableMax}`);
	if (p.acceptableMax >= p.stopAt)
		out.push(`acceptableMax ${p.acceptableMax} is not below stopAt ${p.stopAt}`);
	if (p.morningHold > p.morningRegress)
		out.push(`morningHold ${p.morningHold} is above morningRegress ${p.morningRegress}`);
	return out;
}
