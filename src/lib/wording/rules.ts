/** What a rule is called where somebody reads which one answered. */
import type { RuleId } from '#lib/core/decision/rule-id.ts';

const RULE_NAME = {
	'refer.emergency': 'an emergency was told',
	'refer.hot-joint': 'a hot joint',
	'refer.calf': 'one swollen calf',
	'refer.red-flag': 'an open red flag',
	'wait.screen': 'the screening comes first',
	'wait.protocol': 'the operation’s protocol comes first',
	'wait.unwell': 'fever or illness',
	'wait.fall': 'after a fall',
	'wait.review': 'a licensed user looks first',
	'hold.new-region': 'pain in a new place',
	'stop.symptom': 'a symptom that stops',
	'stop.limit': 'a protocol, flag or clearance holds it',
	'stop.region': 'a symptom stopped its region',
	'stop.pain': 'pain at the stop line',
	'hold.flare': 'a flare',
	'regress.range': 'a range measured shorter',
	swap: 'a position or thing that is gone',
	'wait.no-sessions': 'nothing logged since the change',
	'regress.pain': 'pain above acceptable',
	'regress.morning': 'an unsettled morning',
	'regress.trend': 'mornings that rise',
	'regress.leakage': 'leakage',
	'regress.incomplete': 'work left undone twice',
	'regress.fault': 'the same fault twice',
	'regress.felt': 'felt in the joint',
	'regress.guarding': 'low confidence twice',
	'regress.away': 'back after two weeks',
	'wait.morning': 'the next morning is missing',
	'hold.as-usual': 'a symptom agreed as usual',
	'hold.region': 'the region is not settled',
	'hold.soreness': 'sore muscles',
	'hold.pace': 'the pace of advances',
	advance: 'ready, and a way is open',
	'wait.measure': 'a range to measure',
	'hold.gate': 'what comes next is closed',
	'hold.complete': 'the ladder is complete',
	'hold.building': 'the streak is being built'
} as const satisfies Readonly<Record<RuleId, string>>;

/** Of a rule by its id; an older rule that is no more keeps its id. */
export const ruleName = (rule: string): string =>
	(RULE_NAME as Readonly<Record<string, string>>)[rule] ?? rule;
