/** What all parts of a client's own page share: its words, what waits to be sent, which day it is here. */
import { createContext } from 'svelte';
import type { OutboxItem } from '#lib/contract/mine.ts';
import type { Answered, Kind } from '#lib/contract/mine-kept.ts';
import type { Language } from '#lib/wording/mine/names.ts';
import type { Say } from './say.ts';

export interface Mine {
	readonly say: Say;
	readonly language: Language;
	/** Keeps an entry and sends it if it can; the practice's answer, or null where it waits. @throws where nothing could be kept */
	readonly enter: (kind: Kind, fields: OutboxItem['fields'], id?: string) => Promise<Answered | null>;
	readonly dayNow: () => string;
}

export const [mineHere, setMine] = createContext<Mine>();
