/** The words of a client's own page, in their language, through a message catalogue. */
import i18next from 'i18next';
import { de } from '#lib/wording/mine/de.ts';
import { en, type MineKey } from '#lib/wording/mine/en.ts';
import type { Language } from '#lib/wording/mine/names.ts';

const catalogue = i18next.createInstance();
void catalogue.init({
	initAsync: false,
	fallbackLng: 'en',
	resources: { en: { translation: en }, de: { translation: de } },
	// The page escapes what it shows.
	interpolation: { escapeValue: false }
});

type Counted = MineKey extends infer K ? (K extends `${infer Base}_other` ? Base : K) : never;
export type Say = (key: Counted, filled?: Readonly<Record<string, string | number>>) => string;

export function sayIn(language: Language): Say {
	const t = catalogue.getFixedT(language);
	return (key, filled) => t(key as MineKey, filled as Record<string, string | number>);
}
