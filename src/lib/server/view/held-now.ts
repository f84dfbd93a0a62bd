/** What holds the work of a region now, in words: an open red flag before anything, then a limit, then the day. */
import type { Standing } from '#lib/core/safety/standing.ts';
import { closedText } from '#lib/wording/intake.ts';
import { standingSentence } from '#lib/wording/safety.ts';
import { flagName } from '#lib/wording/screening.ts';
import { redFlagOn } from '../record/held-by.ts';
import type { ClientRecord } from '../record/load.ts';
import type { WorkOn } from '../record/work-on.ts';

export type Held = { readonly by: 'flag' | 'standing' | 'day'; readonly text: string } | null;

export function heldNow(r: ClientRecord, region: string, stands: Standing | null, { closed }: WorkOn): Held {
	const flag = redFlagOn(r, region);
	if (flag !== undefined)
		return {
			by: 'flag',
			text: `A flag is open: ${flagName(flag.code)}. Nothing goes on until a licensed user closes it.`
		};
	if (stands?.verdict === 'suspended') return { by: 'standing', text: standingSentence(stands) };
	return closed.length > 0 ? { by: 'day', text: closedText(closed) } : null;
}
