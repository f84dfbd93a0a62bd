/** What Today can show and in which order, in words; and what is chosen, in a line. */
import { DECISION_WORD } from './names.ts';

export const EVERYONE = 'Everyone';
export const SHOW_WORD: Readonly<Record<string, string>> = {
	...DECISION_WORD,
	waiting: 'Waits for an answer',
	quiet: 'To begin'
};
export const ORDER_WORD: Readonly<Record<string, string>> = {
	need: 'by need',
	name: 'by name',
	silent: 'longest silent'
};

interface Chosen {
	readonly search: string;
	readonly show: string;
	readonly part: string;
	readonly order: string;
}

/** Whom Today shows: “Hold · knee · “lin” · by name”. */
export const chosenText = ({ search, show, part, order }: Chosen): string =>
	[
		show === '' ? EVERYONE : (SHOW_WORD[show] ?? show),
		part,
		search === '' ? '' : `“${search}”`,
		ORDER_WORD[order] ?? order
	]
		.filter((x) => x !== '')
		.join(' · ');

/** What a choice comes to, as what leads to it. */
export const foundText = (found: number): string =>
	found === 0 ? 'Nobody now' : found === 1 ? 'Show 1 client' : `Show ${found} clients`;
