/** A red flag is open that reaches this region. */
import type { ClientRule } from '../finding.ts';
import { flagFact, openRed } from './reasons.ts';

export const referRedFlagRule: ClientRule = {
	rule: 'refer.red-flag',
	decision: 'refer',
	judge: (f) => openRed(f).map(flagFact)
};
