/**
 * Published decision aids around referral. They never clear anybody: a suspected clot is always referred the same day, an acute knee
 * that meets any line goes for an X-ray, and readings past their line wait for a doctor. What they give is for the letter.
 * @source wells-2003 clot points; stiell-1996 acute knee; ats-2002 six-minute walk; acsm-2015 blood pressure (all from memory)
 */

import type { Extras } from '../measure/function-test.ts';

export const CLOT_ITEMS = [
	'active-cancer',
	'paralysis-or-plaster',
	'bedridden-or-surgery',
	'deep-vein-tenderness',
	'whole-leg-swollen',
	'calf-3cm-larger',
	'pitting-oedema',
	'collateral-veins',
	'previous-clot',
	'alternative-as-likely'
] as const;
export type ClotItem = (typeof CLOT_ITEMS)[number];

export interface ClotPoints {
	readonly points: number;
	readonly twoLevel: 'likely' | 'unlikely';
	readonly threeLevel: 'low' | 'moderate' | 'high';
	/** Whatever the points. */
	readonly action: 'refer-same-day';
}

/** Sum of the items; the 1997 version has no point for a previous clot. */
export function clotPoints(items: readonly ClotItem[], version: '1997' | '2003' = '2003'): ClotPoints {
	const points = [...new Set(items)].reduce(
		(sum, i) =>
			sum + (i === 'alternative-as-likely' ? -2 : i === 'previous-clot' && version === '1997' ? 0 : 1),
		0
	);
	return {
		points,
		twoLevel: points >= 2 ? 'likely' : 'unlikely',
		threeLevel: points <= 0 ? 'low' : points <= 2 ? 'moderate' : 'high',
		action: 'refer-same-day'
	};
}

export interface AcuteKnee {
	readonly age: number;
	/** Only for a fresh injury of an adult. */
	readonly acute: boolean;
	readonly kneecapTenderAlone: boolean;
	readonly fibulaHeadTender: boolean;
	readonly flexionDeg: number;
	readonly stepsTaken: number;
}

/** Reasons for an X-ray after a fresh knee injury; `not-applicable` for an old knee or a minor. */
export function acuteKnee(k: AcuteKnee): {
	readonly answer: 'refer-for-x-ray' | 'no-line-met' | 'not-applicable';
	readonly reasons: readonly string[];
} {
	if (!k.acute || k.age < 18) return { answer: 'not-applicable', reasons: [] };
	const reasons = [
		...(k.age >= 55 ? ['age-55'] : []),
		...(k.kneecapTenderAlone ? ['kneecap-tender'] : []),
		...(k.fibulaHeadTender ? ['fibula-head-tender'] : []),
		...(k.flexionDeg < 90 ? ['no-90-degrees'] : []),
		...(k.stepsTaken < 4 ? ['no-four-steps'] : [])
	];
	return { answer: reasons.length > 0 ? 'refer-for-x-ray' : 'no-line-met', reasons };
}

export interface RestingSigns {
	readonly pulse?: number;
	readonly systolic?: number;
	readonly diastolic?: number;
}

/** The signs at rest that a test writes down: a pressure taken for itself, or before a walk. */
export function signsOf(test: string, value: number, x: Extras): RestingSigns | undefined {
	const signs: RestingSigns =
		test === 'resting-pressure'
			? { systolic: value, ...(x.diastolic === undefined ? {} : { diastolic: x.diastolic }) }
			: {
					...(x.systolic === undefined ? {} : { systolic: x.systolic }),
					...(x.diastolic === undefined ? {} : { diastolic: x.diastolic })
				};
	return signs.systolic === undefined && signs.diastolic === undefined ? undefined : signs;
}

export interface Gate {
	readonly allowed: boolean;
	readonly reasons: readonly string[];
}

const over = (value: number | undefined, line: number): boolean => value !== undefined && value > line;
const gate = (reasons: readonly string[]): Gate => ({ allowed: reasons.length === 0, reasons });

/** May a six-minute walk be started? */
export const walkGate = (s: RestingSigns, heartEventLastMonth = false): Gate =>
	gate([
		...(heartEventLastMonth ? ['heart-event'] : []),
		...(over(s.pulse, 120) ? ['pulse-over-120'] : []),
		...(over(s.systolic, 180) ? ['systolic-over-180'] : []),
		...(over(s.diastolic, 100) ? ['diastolic-over-100'] : [])
	]);

/** May any effort test be started (200/110)? */
export const testGate = (s: RestingSigns): Gate =>
	gate([
		...(over(s.systolic, 200) ? ['systolic-over-200'] : []),
		...(over(s.diastolic, 110) ? ['diastolic-over-110'] : [])
	]);

/** May heavy resistance work be done today (180/110)? */
export const resistanceGate = (s: RestingSigns): Gate =>
	gate([
		...(over(s.systolic, 180) ? ['systolic-over-180'] : []),
		...(over(s.diastolic, 110) ? ['diastolic-over-110'] : [])
	]);
