/** Every code a page can meet has a word; nothing is shown as its id. */
import { describe, expect, it } from 'vitest';
import { POLICY_IDS } from '../catalogue/policies.ts';
import { FAMILIES } from '../catalogue/families.ts';
import { AXES } from '../core/body/axis.ts';
import { DECISIONS } from '../core/decision/trace.ts';
import { VERDICTS, type StepFit } from '../core/fit/fit.ts';
import { CHECKS, TECHNIQUES } from '../core/posture/problem.ts';
import { SYMPTOMS } from '../core/session/record.ts';
import { inTheWay } from './fit.ts';
import { gateAsks, gateText } from './gates.ts';
import {
	AXIS_HOW,
	AXIS_NAME,
	CHECK_NAME,
	DECISION_WORD,
	JOINT_NAME,
	POLICY_NAME,
	rangeIn,
	PURPOSE_NAME,
	SYMPTOM_NAME,
	TECHNIQUE_NAME,
	VERDICT_WORD
} from './names.ts';
import { stepTitle } from './steps.ts';

const complete = (table: Readonly<Record<string, string>>, codes: readonly string[]): void => {
	for (const c of codes) expect(table[c], c).toMatch(/^[^_]{2,}$/);
};

describe('words', () => {
	it('tell ranges of one joint apart, wherever one is to be measured or falls short', () => {
		expect(new Set(AXES.map((a) => rangeIn(a))).size).toBe(AXES.length);
		const fit = { withheld: [], positions: [], missing: [], limiting: [], unmeasured: [] };
		const said = (more: object): string => inTheWay({ ...fit, ...more } as unknown as StepFit);
		const unmeasured = [{ axis: 'hipAbduction' }, { axis: 'hipExtension' }, { axis: 'hipExtension' }];
		expect(said({ verdict: 'unmeasured', unmeasured })).toBe('measure hip out, hip back');
		const limiting = [{ axis: 'hipInternalRotation', side: 'left', short: 7.2 }];
		expect(said({ verdict: 'blocked', limiting })).toBe('left hip turned in 8° short');
	});
	it('for axes, techniques, policies, verdicts, decisions, checks and symptoms', () => {
		for (const t of [AXIS_NAME, AXIS_HOW, JOINT_NAME]) complete(t, AXES);
		complete(TECHNIQUE_NAME, [...TECHNIQUES, 'ordinary']);
		complete(POLICY_NAME, POLICY_IDS);
		complete(VERDICT_WORD, VERDICTS);
		complete(DECISION_WORD, DECISIONS);
		complete(CHECK_NAME, CHECKS);
		complete(SYMPTOM_NAME, SYMPTOMS);
	});
	it('for every step, purpose and gate of every family', () => {
		for (const f of Object.values(FAMILIES)) {
			for (const p of f.purposes) expect(PURPOSE_NAME[p], p).toBeDefined();
			for (const s of f.steps) {
				expect(stepTitle(s.id)).toBe(s.title);
				expect(s.short.length, s.id).toBeLessThanOrEqual(16);
				for (const g of s.gates) expect(gateAsks(g)).not.toMatch(/undefined|-squat|-seat/);
			}
			for (const cues of Object.values(f.cues)) expect(cues.length).toBeLessThanOrEqual(3);
		}
		expect(stepTitle('retired-long-ago')).toBe('retired-long-ago');
	});
	it('a gate says what it asks and what was shown', () => {
		expect(
			gateText({
				gate: { kind: 'clean-reps', step: 'free-squat', sets: 3, reps: 10 },
				met: false,
				shown: '1×10 (best set 10)'
			})
		).toBe('3×10 clean on Free squat (so far: 1×10 (best set 10))');
		expect(gateAsks({ kind: 'sides-within', step: 'toe-touch-squat', share: 0.8 })).toBe(
			'weaker side 80 % of the stronger on One leg, toes touching'
		);
	});
	it('no client is ever blamed or told they are worn out', () => {
		const text = JSON.stringify(FAMILIES) + JSON.stringify([CHECK_NAME, SYMPTOM_NAME]);
		expect(text).not.toMatch(/worn out|no cartilage|bone on bone|lazy|fail(ed|ure)|non-compliant/i);
	});
});
