/** Titles of catalogue steps; an id that is no longer known is shown as it is. */
import { FAMILIES } from '#lib/catalogue/families.ts';

const TITLES: ReadonlyMap<string, string> = new Map(
	Object.values(FAMILIES).flatMap((f) => f.steps.map((s) => [s.id, s.title] as const))
);

export const stepTitle = (id: string): string =>
	TITLES.get(id) ??
	(id.startsWith('own-')
		? id
				.slice(4)
				.replaceAll('-', ' ')
				.replace(/^./, (c) => c.toUpperCase())
		: id);

/** From where a group of faults is seen: "seen from the side", "by asking". */
const VIEW: Readonly<Record<string, string>> = {
	front: 'Seen from the front',
	side: 'Seen from the side',
	'any side': 'Seen from any side',
	asking: 'Asked',
	'by the sound': 'Heard',
	listening: 'Heard',
	'listening and watching': 'Heard and seen',
	watching: 'Seen',
	'watching face and shoulders': 'Seen on face and shoulders'
};
export const viewText = (from: string): string => VIEW[from] ?? from.replace(/^./, (c) => c.toUpperCase());
