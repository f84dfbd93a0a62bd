/** Flags and withheld steps in words. */
import { screenCategory } from '../catalogue/screening.ts';
import type { Eased, Urgency, Withheld } from '../core/client/screening.ts';

/** Codes of flags that do not come from the screening. */
const OTHER: Readonly<Record<string, string>> = {
	protocol: 'by protocol',
	'further-down-forward': 'bending forward sent pain further down the leg',
	'further-down-backward': 'bending backward sent pain further down the leg',
	'emergency-chest-pain': 'chest pain in a session',
	'emergency-faintness': 'faintness in a session',
	'emergency-breathless': 'breathlessness in a session',
	'emergency-saddle-area': 'numbness or leakage with the back, saddle area not ruled out'
};

export const flagName = (code: string): string =>
	screenCategory(code)?.name ?? OTHER[code] ?? code.replaceAll('-', ' ');

/** What to do about an open flag, and how soon. */
export const flagAction = (code: string): string =>
	screenCategory(code)?.action ??
	(code.startsWith('emergency')
		? 'Stop now and get emergency help.'
		: 'A licensed user looks at it before anything else.');

export const URGENCY_WORD: Readonly<Record<Urgency, string>> = {
	emergency: 'Emergency',
	urgent: 'Urgent',
	caution: 'Caution'
};

export const withheldText = (withheld: readonly Withheld[]): string =>
	[...new Set(withheld.map((w) => `${w.tag.replaceAll('-', ' ')}: ${flagName(w.because)}`))].join('; ');

/** What cautions ask of a step that they let pass: each flag with its cue, once. */
export const easedText = (eased: readonly Eased[]): string =>
	[...new Set(eased.map((e) => `${flagName(e.because)}: ${e.cue}`))].join(' ');
