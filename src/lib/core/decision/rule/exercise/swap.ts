/** A position that is not tolerated now, or equipment that is gone: another way of the same purpose, no regression. */
import type { ExerciseRule } from '../finding.ts';
import { broken } from './broken.ts';

export const swapRule: ExerciseRule = { rule: 'swap', decision: 'hold', judge: (j) => broken(j, 'swap') };
