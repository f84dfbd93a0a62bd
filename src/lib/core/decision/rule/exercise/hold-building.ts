/** The streak is still being built. Always fires: the last answer there is. */
import { yes, type ExerciseRule } from '../finding.ts';
import { unmet } from './reasons.ts';

export const holdBuildingRule: ExerciseRule = {
	rule: 'hold.building',
	decision: 'hold',
	judge: (j) => yes(undefined, ...unmet(j))
};
