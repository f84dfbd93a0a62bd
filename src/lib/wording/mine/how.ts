/** How an exercise is done, in the language of a client's own page: its name, its set-up's length, its dose, and what else was prescribed. */
import { placeTitle } from '#lib/catalogue/choices.ts';
import { findStep } from '#lib/catalogue/families.ts';
import type { PrescribedDose } from '#lib/core/dose/dose.ts';
import type { Chosen } from '#lib/core/exercise/family.ts';
import { doseText } from '../dose.ts';
import type { Particulars } from '#lib/core/dose/particulars.ts';
import type { Tighter } from '#lib/core/session/stretch.ts';
import { lengthIn, type SolvedSetup } from '#lib/core/movement/context.ts';
import type { Length } from '#lib/core/movement/set-up-length.ts';
import { given, parts, where } from '../parts.ts';
import { daysOf, particularsText } from '../plan.ts';
import { chosenText, lengthValue, setupText } from '../setup.ts';
import { inProse, kgText } from '../units.ts';
import { CHOICES_DE } from './choices-de.ts';
import type { Language } from './names.ts';
import { CAUTIONS_DE, CUES_DE } from './said-de.ts';
import { STEPS_DE } from './steps-de.ts';
import { WHAT_DE } from './what-de.ts';

/** @param given as it is called in the prescription, for steps that are the practice's own */
export const titleIn = (language: Language, step: string, given: string): string =>
	language === 'de' ? (STEPS_DE[step] ?? given) : given;

const LENGTH_DE: Readonly<Record<Length, string>> = {
	seatCm: 'Sitz',
	thighDeg: 'Oberschenkel',
	stepCm: 'Stufe',
	bowDeg: 'Verbeugung',
	handleCm: 'Griff',
	sledCm: 'Schlitten',
	feetCm: 'Füße'
};

/** What was chosen, as one says it; a choice that is a practice's own stays in its language. */
function chosenIn(language: Language, chosen: Chosen | undefined): string {
	if (language === 'en') return chosenText(chosen);
	return Object.entries(chosen ?? {})
		.map(([id, place]) => {
			const words = CHOICES_DE[id];
			const at = words?.of[place];
			return inProse(
				at === undefined || words === undefined ? placeTitle(id, place) : `${words.title} ${at}`
			);
		})
		.join(', ');
}

/** An essential or a caution of the catalogue; one's own stays as it was written. */
export const cueIn = (language: Language, text: string): string =>
	language === 'de' ? (CUES_DE[text] ?? text) : text;
export const cautionIn = (language: Language, text: string): string =>
	language === 'de' ? (CAUTIONS_DE[text] ?? text) : text;
/** @param written as it stands in the prescription: where it is another than the catalogue's, it is the practice's own */
export const whatIn = (language: Language, step: string, written: string): string =>
	inProse(language === 'de' && findStep(step)?.step.what === written ? (WHAT_DE[step] ?? written) : written);

export function setupIn(language: Language, setup: SolvedSetup | null | undefined): string {
	if (language === 'en') return setupText(setup);
	const l = lengthIn(setup);
	const length = l === null ? '' : `${LENGTH_DE[l.of]} ${lengthValue(setup).replace('.', ',')}`;
	return [length, chosenIn(language, setup?.chosen)].filter((x) => x !== '').join(', ');
}

type Dose = Pick<PrescribedDose, 'sets' | 'reps' | 'loadKg' | 'unit'> &
	Partial<Pick<PrescribedDose, 'school'>>;
const UNIT_DE = { sec: ' s', steps: ' Schritte', breaths: ' Atemzüge' } as const;

export function doseIn(language: Language, d: Dose): string {
	if (language === 'en') return doseText(d);
	const rounds = `${d.sets} ${d.sets === 1 ? 'Runde' : 'Runden'} zu `;
	const unit = d.unit === undefined ? '' : UNIT_DE[d.unit];
	const load = d.loadKg > 0 ? ` ${kgText(d.loadKg).replace('.', ',')}` : '';
	return `${d.school === 'rounds' ? rounds : `${d.sets}×`}${d.reps}${unit}${load}`;
}

const BAND_DE = {
	'extra-light': 'sehr leichtes Band',
	light: 'leichtes Band',
	medium: 'mittleres Band',
	heavy: 'starkes Band',
	'extra-heavy': 'sehr starkes Band'
} as const satisfies Readonly<Record<NonNullable<Particulars['band']>, string>>;
const WHERE_DE = {
	practice: 'in der Praxis',
	home: 'zu Hause',
	both: 'in der Praxis und zu Hause'
} as const satisfies Readonly<Record<NonNullable<Particulars['where']>, string>>;

export function particularsIn(language: Language, p: Particulars): readonly string[] {
	if (language === 'en') return particularsText(p);
	return parts(
		given(p.band, (band) => `${BAND_DE[band]}${given(p.bandName, (name) => ` (${name})`)}`),
		given(p.holdSec, (s) => `${s} s halten`),
		given(p.tempo, (tempo) => `Tempo ${tempo}`),
		given(p.effortPct, (pct) => `mit ${pct} % drücken`),
		given(p.workSec, (s) => `${s} s Arbeit`),
		given(p.restSec, (s) => `${s} s Pause`),
		given(p.effort, (effort) => `Anstrengung ${effort} von 10`),
		given(p.blockMin, (min) => `${min} min lang`),
		where(p.asNeeded, 'wenn Sie es brauchen'),
		given(daysOf(p), (days) => `an ${days} ${days === 1 ? 'Tag' : 'Tagen'} der Woche`),
		given(p.where, (place) => WHERE_DE[place]),
		where(p.painPerSide, 'Schmerz je Seite gefragt')
	);
}

const STOPS_DE = {
	ankle: 'das Sprunggelenk',
	thigh: 'der Oberschenkel',
	hip: 'die Hüfte',
	back: 'der Rücken'
} as const;

/** What was noted of a stretch, as it is done next: "left first, the tighter side, and a little more; the hip stops it". */
export function tighterIn(language: Language, t: Tighter | null): readonly string[] {
	if (t === null) return [];
	const { first, stoppedBy } = t;
	if (language === 'en')
		return [
			first === null ? '' : `${first} first, the tighter side, and a little more`,
			stoppedBy === null ? '' : `the ${stoppedBy} stops it`
		].filter((x) => x !== '');
	const side = first === 'left' ? 'links' : 'rechts';
	return [
		first === null ? '' : `${side} zuerst, die steifere Seite, und etwas mehr`,
		stoppedBy === null ? '' : `${STOPS_DE[stoppedBy]} hält auf`
	].filter((x) => x !== '');
}

/** How it is done besides sets and repetitions: what was prescribed, and what was noted of it. */
export const howIn = (language: Language, p: Particulars, t: Tighter | null): readonly string[] => [
	...particularsIn(language, p),
	...tighterIn(language, t)
];
