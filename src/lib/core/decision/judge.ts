/**
 * The decision: client, region and exercise level judged in order. A pure function of policy and record; it never throws on bad
 * data. `judge` is the whole answer but for the nearest flip, which `decide` adds by asking `judge` again.
 *
 * Some client-level answers give way to a stop or a regression of the exercise: pain in a new region, a review, being unwell, a fall. Otherwise
 * reporting more could turn a stop into a hold.
 */
import { factsOf, type Facts } from './facts.ts';
import type { DecideInput } from './input.ts';
import { wayToRegress } from './regress.ts';
import type { RuleId } from './rule-id.ts';
import { CLIENT_RULES } from './rule/client-rules.ts';
import { EXERCISE_RULES } from './rule/exercise-rules.ts';
import type { Finding } from './rule/finding.ts';
import { judgedOf } from './rule/judged.ts';
import {
	AMBITION,
	ENGINE_VERSION,
	YIELDING_WAITS,
	type Decision,
	type RuleFinding,
	type Trace
} from './trace.ts';

const YIELDING: ReadonlySet<RuleId> = new Set<RuleId>(['hold.new-region', ...YIELDING_WAITS]);

type Answer = Pick<Trace, 'level' | 'decision' | 'rule' | 'reasons' | 'change' | 'alternatives'>;

/** Everything but `nearestFlip` and `outlook`. */
export function judge(input: DecideInput): Trace {
	const facts = factsOf(input);
	const considered: RuleFinding[] = [];
	const client = clientAnswer(facts, considered);
	if (client !== undefined && !YIELDING.has(client.rule)) return traceOf(facts, client, considered);
	const exercise = exerciseAnswer(facts, considered);
	if (client === undefined) return traceOf(facts, exercise, considered);
	const yields = ambitionOf(exercise) < ambitionOf(client);
	const note = { code: client.rule };
	return traceOf(
		facts,
		yields ? { ...exercise, alternatives: [...exercise.alternatives, note] } : client,
		considered
	);
}

function clientAnswer(facts: Facts, considered: RuleFinding[]): Answer | undefined {
	let answer: Answer | undefined;
	for (const rule of CLIENT_RULES) {
		const why = rule.judge(facts);
		considered.push({ rule: rule.rule, fired: why.length > 0, why });
		if (why.length > 0 && answer === undefined)
			answer = {
				level: rule.rule === 'hold.new-region' ? 'region' : 'client',
				decision: rule.decision,
				rule: rule.rule,
				reasons: why,
				change: null,
				alternatives: rule.rule === 'hold.new-region' ? [{ code: 'reopen-screening' }] : []
			};
	}
	return answer;
}

function exerciseAnswer(facts: Facts, considered: RuleFinding[]): Answer {
	const judged = judgedOf(facts);
	let answer: Answer | undefined;
	for (const rule of EXERCISE_RULES) {
		const finding: Finding = rule.judge(judged);
		considered.push({ rule: rule.rule, fired: finding.fired, why: finding.why });
		if (!finding.fired || answer !== undefined) continue;
		const decision: Decision = finding.decision ?? rule.decision;
		const change =
			finding.change !== undefined
				? finding.change
				: decision === 'advance'
					? judged.ways.open
					: decision === 'regress'
						? wayToRegress(facts, finding.cause ?? 'pain', finding.dial)
						: null;
		answer = {
			level: 'exercise',
			decision,
			rule: rule.rule,
			reasons: finding.why,
			change,
			alternatives: finding.alternatives ?? []
		};
	}
	// The last rule always fires.
	return answer as Answer;
}

function traceOf(f: Facts, answer: Answer, considered: readonly RuleFinding[]): Trace {
	return {
		...answer,
		considered,
		nearestFlip: null,
		outlook: [],
		policy: { id: f.policy.id, version: f.policy.version },
		usual: f.usual.value,
		provisional: f.usual.provisional,
		engine: ENGINE_VERSION
	};
}

/** Reviews of a region that is worse than a flare: no work goes on before somebody has looked. */
const CAREFUL_REVIEW = new Set(['flare.long', 'pain.closed-twice', 'swelling.twice']);

/**
 * How ambitious an answer is. A flare hold stands below a regression: its plan is gentler than one notch down, and the rule comes
 * first, so that a worse morning must never look like more ambition.
 */
export function ambitionOf(t: Pick<Trace, 'decision' | 'rule' | 'reasons'>): number {
	if (
		t.rule === 'hold.flare' ||
		(t.rule === 'wait.review' && t.reasons.some((r) => CAREFUL_REVIEW.has(r.code)))
	)
		return 1.5;
	return AMBITION[t.decision];
}
