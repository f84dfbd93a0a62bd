/** Regions, weekdays and symptoms as a client's own page names them, by language. */
import type { Symptom } from '#lib/core/session/record.ts';
import { regionName } from '../names.ts';

export const LANGUAGES = ['en', 'de'] as const;
export type Language = (typeof LANGUAGES)[number];
export const languageOf = (asked: string): Language => LANGUAGES.find((l) => l === asked) ?? 'en';

const PARTS_DE: Readonly<Record<string, string>> = {
	knee: 'Knie',
	hip: 'Hüfte',
	ankle: 'Sprunggelenk',
	foot: 'Fuß',
	back: 'Rücken',
	shin: 'Unterschenkel',
	thigh: 'Oberschenkel',
	calf: 'Wade'
};
const SIDE_DE: Readonly<Record<string, string>> = { left: 'links', right: 'rechts' };

export function regionIn(language: Language, region: string): string {
	if (language === 'en') return regionName(region);
	const [part = '', side = ''] = region.split('-');
	const named = PARTS_DE[part];
	return named === undefined ? regionName(region) : [named, SIDE_DE[side] ?? ''].join(' ').trim();
}

/** Sunday first. */
const DAYS: Readonly<Record<Language, readonly string[]>> = {
	en: ['Sunday', 'Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday'],
	de: ['Sonntag', 'Montag', 'Dienstag', 'Mittwoch', 'Donnerstag', 'Freitag', 'Samstag']
};
export const weekdayIn = (language: Language, weekday: number): string => DAYS[language][weekday] ?? '';

/** Those that are asked on the page, gravest first. */
export const ASKED_SYMPTOMS = [
	'chest-pain',
	'faintness',
	'breathless',
	'face-arm-speech',
	'cold-limb',
	'numbness',
	'weakness',
	'calf-swelling',
	'pop-and-swelling',
	'no-straight-raise',
	'wound',
	'locking',
	'giving-way',
	'leakage'
] as const satisfies readonly Symptom[];
type AskedSymptom = (typeof ASKED_SYMPTOMS)[number];

export const SYMPTOM_IN: Readonly<Record<Language, Readonly<Record<AskedSymptom, string>>>> = {
	en: {
		'chest-pain': 'Chest pain',
		faintness: 'Fainting, or nearly',
		breathless: 'New breathlessness',
		'face-arm-speech': 'Face, arm or speech suddenly changed',
		'cold-limb': 'A cold, pale foot, or a tense lower leg',
		numbness: 'Numbness',
		weakness: 'A leg getting weaker',
		'calf-swelling': 'One calf swollen, tender or warm',
		'pop-and-swelling': 'A pop, then swelling within hours',
		'no-straight-raise': 'The straight leg cannot be lifted',
		wound: 'A wound red, leaking or opening',
		locking: 'A joint that locks',
		'giving-way': 'A joint that gives way',
		leakage: 'Leaking of water or stool'
	},
	de: {
		'chest-pain': 'Brustschmerz',
		faintness: 'Ohnmacht oder fast',
		breathless: 'Neue Atemnot',
		'face-arm-speech': 'Gesicht, Arm oder Sprache plötzlich verändert',
		'cold-limb': 'Ein kalter, blasser Fuß oder ein gespannter Unterschenkel',
		numbness: 'Taubheit',
		weakness: 'Ein Bein wird schwächer',
		'calf-swelling': 'Eine Wade geschwollen, empfindlich oder warm',
		'pop-and-swelling': 'Ein Knacken, dann Schwellung binnen Stunden',
		'no-straight-raise': 'Das gestreckte Bein lässt sich nicht heben',
		wound: 'Eine Wunde rot, nässend oder offen',
		locking: 'Ein Gelenk blockiert',
		'giving-way': 'Ein Gelenk knickt weg',
		leakage: 'Verlust von Wasser oder Stuhl'
	}
};
/** Those that ask the saddle question. */
export const ASKS_SADDLE_IN: ReadonlySet<string> = new Set<AskedSymptom>(['numbness', 'weakness', 'leakage']);
