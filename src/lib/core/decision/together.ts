/** Which slips can be agreed to several at a time: those that go on. What stops, refers or mends is looked at by itself, and what waits has nothing to sign. */
import type { Decision, Trace } from './trace.ts';

const GOES_ON: ReadonlySet<Decision> = new Set(['hold', 'advance', 'regress']);

export const agreedTogether = ({ decision, change }: Pick<Trace, 'decision' | 'change'>): boolean =>
	GOES_ON.has(decision) && change?.kind !== 'mend' && change?.kind !== 'set-aside';

/** What changes nothing is ticked already; what changes a prescription is ticked by hand. */
export const tickedAlready = ({ decision, change }: Pick<Trace, 'decision' | 'change'>): boolean =>
	decision === 'hold' && change === null;
