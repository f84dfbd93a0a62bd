/** A fall, until the next clean arrival. */
import type { ClientRule } from '../finding.ts';
import { cleanAfter, fact } from './reasons.ts';

export const waitFallRule: ClientRule = {
	rule: 'wait.fall',
	decision: 'wait',
	judge: (f) => {
		const last = f.input.client.arrivals
			?.filter((a) => a.fell)
			.reduce<string | undefined>((m, a) => (m === undefined || a.date > m ? a.date : m), undefined);
		return last === undefined || cleanAfter(f, last)
			? []
			: [fact('arrival.fall', 'practice-setting', { day: last })];
	}
};
