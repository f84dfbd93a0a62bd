/** A protocol, a flag or a missing clearance holds what stands. */
import type { ExerciseRule } from '../finding.ts';
import { broken } from './broken.ts';

export const stopLimitRule: ExerciseRule = {
	rule: 'stop.limit',
	decision: 'stop',
	judge: (j) => broken(j, 'suspended')
};
