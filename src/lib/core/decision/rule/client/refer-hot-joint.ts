/** A joint hotter than the other side and than last week: the same day. */
import type { ClientRule } from '../finding.ts';
import { flagFact, hotMornings, openRed } from './reasons.ts';

export const referHotJointRule: ClientRule = {
	rule: 'refer.hot-joint',
	decision: 'refer',
	judge: (f) => [
		...hotMornings(f, 'hot-joint'),
		...openRed(f)
			.filter((x) => x.id === 'hot-joint')
			.map(flagFact)
	]
};
