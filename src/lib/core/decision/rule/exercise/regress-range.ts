/** A newer measurement is short of what stands by more than its method's real change. */
import type { ExerciseRule } from '../finding.ts';
import { broken } from './broken.ts';

export const regressRangeRule: ExerciseRule = {
	rule: 'regress.range',
	decision: 'regress',
	judge: (j) => broken(j, 'short')
};
