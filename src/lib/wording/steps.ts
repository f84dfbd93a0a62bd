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
