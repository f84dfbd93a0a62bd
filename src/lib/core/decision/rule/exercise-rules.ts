/**
 * Exercise level: the rules, judged in order; the first that fires wins. Only sessions after the last change count, except a
 * late morning.
 */
import { stopSymptomRule } from './exercise/stop-symptom.ts';
import { stopLimitRule } from './exercise/stop-limit.ts';
import { stopRegionRule } from './exercise/stop-region.ts';
import { stopPainRule } from './exercise/stop-pain.ts';
import { holdFlareRule } from './exercise/hold-flare.ts';
import { regressRangeRule } from './exercise/regress-range.ts';
import { swapRule } from './exercise/swap.ts';
import { waitNoSessionsRule } from './exercise/wait-no-sessions.ts';
import { waitMorningRule } from './exercise/wait-morning.ts';
import { holdAsUsualRule } from './exercise/hold-as-usual.ts';
import { holdRegionRule } from './exercise/hold-region.ts';
import { holdSorenessRule } from './exercise/hold-soreness.ts';
import { holdPaceRule } from './exercise/hold-pace.ts';
import { advanceRule } from './exercise/advance.ts';
import { waitMeasureRule } from './exercise/wait-measure.ts';
import { holdGateRule } from './exercise/hold-gate.ts';
import { holdCompleteRule } from './exercise/hold-complete.ts';
import { holdBuildingRule } from './exercise/hold-building.ts';
import { REGRESSIONS } from './exercise/regressions.ts';
import type { ExerciseRule } from './finding.ts';

export const EXERCISE_RULES: readonly ExerciseRule[] = [
	stopSymptomRule,
	stopLimitRule,
	stopRegionRule,
	stopPainRule,
	holdFlareRule,
	regressRangeRule,
	swapRule,
	waitNoSessionsRule,
	...REGRESSIONS,
	waitMorningRule,
	holdAsUsualRule,
	holdRegionRule,
	holdSorenessRule,
	holdPaceRule,
	advanceRule,
	waitMeasureRule,
	holdGateRule,
	holdCompleteRule,
	holdBuildingRule
];
