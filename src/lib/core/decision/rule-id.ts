/** The rules by name, in the order in which they are asked: of a client, then of an exercise. */
export const CLIENT_RULE_IDS = [
	'refer.emergency',
	'refer.hot-joint',
	'refer.calf',
	'refer.red-flag',
	'wait.screen',
	'wait.protocol',
	'wait.unwell',
	'wait.fall',
	'wait.review',
	'hold.new-region'
] as const;
export const EXERCISE_RULE_IDS = [
	'stop.symptom',
	'stop.limit',
	'stop.region',
	'stop.pain',
	'hold.flare',
	'regress.range',
	'swap',
	'wait.no-sessions',
	'regress.pain',
	'regress.morning',
	'regress.trend',
	'regress.leakage',
	'regress.incomplete',
	'regress.fault',
	'regress.felt',
	'regress.guarding',
	'regress.away',
	'wait.morning',
	'hold.as-usual',
	'hold.region',
	'hold.soreness',
	'hold.pace',
	'advance',
	'wait.measure',
	'hold.gate',
	'hold.complete',
	'hold.building'
] as const;
export type ClientRuleId = (typeof CLIENT_RULE_IDS)[number];
export type ExerciseRuleId = (typeof EXERCISE_RULE_IDS)[number];
export type RuleId = ClientRuleId | ExerciseRuleId;
