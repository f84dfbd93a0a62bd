/** The order of the rules is part of the rules: what is asked first, wins. */
import { expect, it } from 'vitest';
import { CLIENT_RULE_IDS, EXERCISE_RULE_IDS } from '../rule-id.ts';
import { CLIENT_RULES } from './client-rules.ts';
import { EXERCISE_RULES } from './exercise-rules.ts';

it('rules are asked in the order in which they are named, each once', () => {
	expect(CLIENT_RULES.map((r) => r.rule)).toEqual([...CLIENT_RULE_IDS]);
	expect(EXERCISE_RULES.map((r) => r.rule)).toEqual([...EXERCISE_RULE_IDS]);
	expect(new Set([...CLIENT_RULE_IDS, ...EXERCISE_RULE_IDS]).size).toBe(
		CLIENT_RULE_IDS.length + EXERCISE_RULE_IDS.length
	);
});
