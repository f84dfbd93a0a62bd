/** Items and lines of the referral aids in our own words. */
import type { AcuteKnee, ClotItem, ClotPoints, Gate } from '../core/client/acute.ts';
import { acuteKnee } from '../core/client/acute.ts';

export const CLOT_NAME: Readonly<Record<ClotItem, string>> = {
	'active-cancer': 'cancer treated now, in the last six months, or palliative',
	'paralysis-or-plaster': 'paralysis, weakness or a recent plaster of the leg',
	'bedridden-or-surgery': 'three days in bed, or a major operation within twelve weeks',
	'deep-vein-tenderness': 'tender along the deep veins',
	'whole-leg-swollen': 'the whole leg swollen',
	'calf-3cm-larger': 'calf 3 cm or more larger than the other, 10 cm below the shin’s bump',
	'pitting-oedema': 'a finger leaves a dent, in the sore leg only',
	'collateral-veins': 'new surface veins that are not varicose',
	'previous-clot': 'a clot before',
	'alternative-as-likely': 'something else at least as likely (two points less)'
};

export const clotText = ({ points, twoLevel, threeLevel }: ClotPoints): string =>
	`${points} ${points === 1 || points === -1 ? 'point' : 'points'}: ${twoLevel} (two levels), ${threeLevel} (three levels). A suspected clot is seen by a doctor the same day, whatever the points.`;

const KNEE_LINE: Readonly<Record<string, string>> = {
	'age-55': '55 years or older',
	'kneecap-tender': 'the kneecap alone is tender',
	'fibula-head-tender': 'the head of the fibula is tender',
	'no-90-degrees': 'does not bend to 90°',
	'no-four-steps': 'cannot take four steps'
};

export function acuteKneeText(k: AcuteKnee): string {
	const { answer, reasons } = acuteKnee(k);
	if (answer === 'not-applicable') return 'Holds only for a fresh injury of an adult.';
	return answer === 'no-line-met'
		? 'No line is met. That is no all-clear: a knee that does not settle is seen by a doctor.'
		: `Refer for an X-ray: ${reasons.map((r) => KNEE_LINE[r] ?? r).join('; ')}.`;
}

const SIGN: Readonly<Record<string, string>> = {
	'heart-event': 'a heart event in the last month',
	'pulse-over-120': 'pulse over 120',
	'systolic-over-180': 'upper pressure over 180',
	'systolic-over-200': 'upper pressure over 200',
	'diastolic-over-100': 'lower pressure over 100',
	'diastolic-over-110': 'lower pressure over 110'
};
export const gateWords = (what: string, { allowed, reasons }: Gate): string =>
	allowed
		? `${what}: no line met`
		: `${what}: not today, ${reasons.map((r) => SIGN[r] ?? r).join(', ')}; ask a doctor first`;
