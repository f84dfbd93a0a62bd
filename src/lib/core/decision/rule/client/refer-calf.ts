/** One calf newly swollen, tender or warm: everything stops, the same day. */
import type { ClientRule } from '../finding.ts';
import { closedSince, fact, flagFact, hotMornings, openRed } from './reasons.ts';

export const referCalfRule: ClientRule = {
	rule: 'refer.calf',
	decision: 'refer',
	judge: (f) => {
		const told = f.sessions.filter(
			(s) => s.symptoms?.includes('calf-swelling') === true && !closedSince(f, 'calf-swelling', s.date)
		);
		return [
			...told.map((s) => fact('symptom.calf-swelling', 'wells-2003', { day: s.date })),
			...hotMornings(f, 'calf-swelling'),
			...openRed(f)
				.filter((x) => x.id === 'calf-swelling')
				.map(flagFact)
		];
	}
};
