/**
 * Bracing: three ways it is taught, chosen for a client. Never a breath held; too much compresses a sensitive back.
 * @source common-practice
 */
import type { Brace } from '../core/exercise/family.ts';

export const BRACE: Readonly<Record<Brace, { readonly title: string; readonly cue: string }>> = {
	tuned: {
		title: 'Tuned to the load',
		cue: 'Enough for this load and no more; quick breath out, low back relaxed'
	},
	hug: { title: 'Light hug', cue: 'As if gently hugged all round the waist; breathe on' },
	hard: {
		title: 'Hard brace',
		cue: 'Firm all round, as before a push; breathe behind it, let go between repetitions'
	}
};
