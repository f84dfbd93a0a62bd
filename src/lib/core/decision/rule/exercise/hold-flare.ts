/** Two mornings running well above usual, until two near it again. */
import { no, yes, type ExerciseRule, type Finding, type Judged } from '../finding.ts';
import { regionReason } from './reasons.ts';

const flare = (j: Judged): Finding =>
	j.state.kind === 'flare'
		? { ...yes(undefined, regionReason(j)), alternatives: [{ code: 'flare-plan' }] }
		: no(regionReason(j));

export const holdFlareRule: ExerciseRule = { rule: 'hold.flare', decision: 'hold', judge: flare };
