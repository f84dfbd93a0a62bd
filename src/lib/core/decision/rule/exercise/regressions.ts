/** The regressions that rest on what was done and how it went, in order. */
import type { ExerciseRule } from '../finding.ts';
import { regressPainRule } from './regress-pain.ts';
import { regressMorningRule } from './regress-morning.ts';
import { regressTrendRule } from './regress-trend.ts';
import { regressLeakageRule } from './regress-leakage.ts';
import { regressIncompleteRule } from './regress-incomplete.ts';
import { regressFaultRule } from './regress-fault.ts';
import { regressFeltRule } from './regress-felt.ts';
import { regressGuardingRule } from './regress-guarding.ts';
import { regressAwayRule } from './regress-away.ts';

export const REGRESSIONS: readonly ExerciseRule[] = [
	regressPainRule,
	regressMorningRule,
	regressTrendRule,
	regressLeakageRule,
	regressIncompleteRule,
	regressFaultRule,
	regressFeltRule,
	regressGuardingRule,
	regressAwayRule
];
