/** Names of the groups of work, and the ink of a state; the word itself says what it is. */
import type { WorkEntry, WorkGroup } from '#lib/contract/view.ts';

export const GROUP_NAME: Readonly<Record<WorkGroup, string>> = {
	know: 'know',
	plan: 'plan',
	do: 'do',
	judge: 'judge'
};
export const TONE_INK: Readonly<Record<WorkEntry['tone'], string>> = {
	plain: 'text-quiet',
	due: 'text-caution',
	stop: 'text-stop font-semibold',
	act: 'text-accent font-semibold'
};
/** From the most pressing on: a group shows the first of these that one of its places has. */
export const PRESSING: readonly WorkEntry['tone'][] = ['stop', 'act', 'due', 'plain'];

/** What a group says of itself: the state of its most pressing place. */
export function pressingOf(entries: readonly WorkEntry[]): WorkEntry | undefined {
	for (const tone of PRESSING) {
		const found = entries.find((e) => e.tone === tone && e.state !== '');
		if (found !== undefined) return found;
	}
	return undefined;
}
