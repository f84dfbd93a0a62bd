/** Registering, asking and arriving in words. */
import type { Arrival, ArrivalReason } from '../core/decision/arrival.ts';
import { regionName } from './names.ts';
import { flagName } from './screening.ts';

export const CONSENT_TEXT: Readonly<Record<string, string>> = {
	'keep-record': 'keeping a health record here, to plan and check the exercises (needed)',
	'phone-link': 'a private link on the client’s phone for exercises and mornings',
	letters: 'letters to the referrer or family doctor',
	teaching: 'using the record, without name, for teaching in this practice'
};

export const KIT_NAME: Readonly<Record<string, string>> = {
	chair: 'chair',
	counter: 'counter or rail',
	step: 'step or kerb',
	band: 'band, about 1 m',
	'book-bag': 'book bag',
	bottles: 'bottles',
	towel: 'towel',
	pillow: 'pillow',
	stick: 'stick',
	bed: 'bed or couch'
};
export const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'] as const;
export const LANGUAGE_NAME: Readonly<Record<string, string>> = { en: 'English' };

/** What a client is told in their own language; a further language is a further row. */
export const HANDOUT: Readonly<Record<string, { readonly stop: string; readonly call: string }>> = {
	en: {
		stop: 'Stop for chest pain, fainting, new numbness between the legs, a joint that locks or gives way, or pain that shoots further down the leg.',
		call: 'Chest pain, fainting, numbness between the legs: call the emergency number now. Anything else on this list: call the practice before the next session.'
	}
};
export const handout = (language: string) => HANDOUT[language] ?? HANDOUT.en;

export const PAIN_AT_NAME: Readonly<Record<string, string>> = {
	early: 'early',
	middle: 'in the middle',
	late: 'late, at the bottom',
	return: 'on the way back',
	throughout: 'throughout'
};

const REASON: Readonly<Record<ArrivalReason['code'], (r: ArrivalReason) => string>> = {
	pain: (r) =>
		r.value === undefined
			? `pain now of the ${regionName(r.region ?? '')}`
			: `${regionName(r.region ?? '')} is ${r.value}, its usual is ${r.usual}`,
	flag: (r) => `a flag is open: ${flagName(r.flag ?? '')}`,
	fever: () => 'fever or feeling ill',
	cold: () => 'a cold without fever',
	fall: () => 'a fall',
	'after-fall': () => 'what followed the fall',
	'new-swelling': (r) => `new swelling${r.region === undefined ? '' : ` of the ${regionName(r.region)}`}`,
	hot: (r) => `hot swelling${r.region === undefined ? '' : ` of the ${regionName(r.region)}`}`,
	calf: () => 'one calf swollen, tender or warm',
	pressure: (r) => `blood pressure at rest${r.value === undefined ? '' : `, ${r.value}`}`,
	'no-regions': () => 'what hurts: nothing is mapped yet'
};

/** No more than was said: a point above usual is not "no more than usual". */
function goText(a: Arrival): string {
	const over = a.over;
	return over === undefined || over <= 0
		? 'Go: no more than usual.'
		: `Go: ${over === 1 ? 'one' : over} above usual.`;
}

/** The reasons of an arrival card, as clauses. */
export const arrivalReasons = (reasons: readonly ArrivalReason[]): string =>
	reasons.map((r) => REASON[r.code](r)).join('; ');

/** Why a piece of work is closed today: by the card, or by a pressure that was measured. */
export const closedText = (reasons: readonly ArrivalReason[]): string =>
	`Not today${reasons.every((r) => r.code === 'pressure') ? '' : ', by the arrival card'}: ${arrivalReasons(reasons)}.`;

/** The arrival card in one sentence. */
export function arrivalSentence(a: Arrival): string {
	const why = a.reasons.map((r) => REASON[r.code](r)).join('; ');
	switch (a.answer) {
		case 'go':
			return goText(a);
		case 'lighter':
			return `${a.setsShare < 1 ? `Lighter today, about ${Math.round(100 * a.setsShare)} % of the work${a.easyOnly ? ', nothing heavy and nothing held' : ''}` : 'Go'}${a.closes === 'day' || a.closes.length === 0 ? '' : `, but not the ${a.closes.map(regionName).join(', ')}`}: ${why}.`;
		case 'not-today':
			return `Not today${a.closes === 'day' ? '' : ` for the ${a.closes.map(regionName).join(', ')}`}: ${why}. Ask a licensed user before anything else.`;
		case 'ask':
			return `Ask first: ${why}.`;
	}
}

export const AVAILABILITY_WORD = {
	yes: 'range is there',
	borderline: 'borderline, within the error of a reading',
	no: 'short',
	'not-measured': 'not measured'
} as const;
