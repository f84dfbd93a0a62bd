/**
 * Gates that can fail: each with a history that meets it and one that just does not. What they ask is common practice; that any-of needs one and
 * only one, and that what was not asked opens nothing, is the design's own rule.
 */
import { describe, expect, it } from 'vitest';
import { FAMILIES } from '#lib/catalogue/families.ts';
import { validateFamily } from '../movement/validate-family.ts';
import type { ExerciseFamily, Gate } from '../exercise/family.ts';
import { gateKey } from '../safety/closed.ts';
import { shownIn } from '../session/shown.ts';
import type { Session } from '../session/record.ts';
import { gateAsks } from '#lib/wording/gates.ts';
import { gateState, type Shown } from './gate.ts';

const shown = (patch: Partial<Shown>): Shown => ({
	step: 'bridge',
	side: 'both',
	cleanReps: [10],
	effortMax: 5,
	...patch
});
const met = (gate: Gate, ...history: readonly Shown[]): boolean => gateState(gate, history).met;

describe('any of several', () => {
	const gate: Gate = {
		kind: 'any-of',
		gates: [
			{ kind: 'felt', step: 'bridge' },
			{ kind: 'easy-reps', step: 'bridge', reps: 10, effortMax: 4 }
		]
	};
	it('one is enough, none is not, and each says what was shown', () => {
		expect(met(gate)).toBe(false);
		expect(met(gate, shown({ felt: true }))).toBe(true);
		expect(met(gate, shown({ felt: false, effortMax: 4 }))).toBe(true);
		expect(met(gate, shown({ felt: false, effortMax: 5 }))).toBe(false);
		expect(met(gate, shown({ felt: false, effortMax: 4, cleanReps: [9] }))).toBe(false);
		expect(gateState(gate, [shown({ felt: false })]).shown).toBe('not felt · best set 10');
		expect(gateState(gate, [shown({ effortMax: 4 })]).shown).toBe('best set 10');
		expect(gateAsks(gate)).toContain(', or ');
		expect(gateKey(gate)).toBe('gate:any-of:felt/bridge+easy-reps/bridge');
	});
	it('a ladder with an any-of of one, or of a step that is not there, is refused with its place', () => {
		const bridge = FAMILIES.bridge as ExerciseFamily;
		const known = {
			sources: new Set(['common-practice']),
			elsewhere: new Map(
				Object.values(FAMILIES)
					.filter((f) => f.id !== 'bridge')
					.flatMap((f) => f.steps.map((s) => [s.id, s] as const))
			)
		};
		const faults = (gates: readonly Gate[]): readonly string[] =>
			validateFamily(
				{ ...bridge, steps: bridge.steps.map((s) => (s.id === 'banded-bridge' ? { ...s, gates } : s)) },
				known
			).map((f) => f.message);
		expect(faults([gate])).toEqual([]);
		expect(faults([{ kind: 'any-of', gates: [{ kind: 'felt', step: 'bridge' }] }])).toEqual([
			expect.stringContaining('fewer than two')
		]);
		expect(
			faults([
				{
					kind: 'any-of',
					gates: [
						{ kind: 'felt', step: 'bridge' },
						{ kind: 'clean-reps', step: 'nowhere', sets: 1, reps: 1 }
					]
				}
			])
		).toEqual([expect.stringContaining('nowhere, which does not exist')]);
	});
});

describe('felt in the muscle, and in no joint', () => {
	const gate: Gate = { kind: 'felt', step: 'bridge', jointFree: true };
	it('only a yes opens, and the joint was asked too', () => {
		expect(met(gate, shown({ felt: true, joint: 'none' }))).toBe(true);
		expect(met(gate, shown({ felt: true }))).toBe(false);
		expect(met(gate, shown({ felt: false, joint: 'none' }))).toBe(false);
		expect(met(gate, shown({ joint: 'none' }))).toBe(false);
		expect(met(gate)).toBe(false);
		// What was felt last counts.
		expect(met(gate, shown({ felt: true, joint: 'none' }), shown({ felt: false, joint: 'knee' }))).toBe(
			false
		);
	});
});

describe('felt in a muscle that is named', () => {
	const gate: Gate = { kind: 'felt', step: 'low-step-up', muscle: 'buttock', jointFree: true };
	const at = (s: Partial<Shown>): boolean =>
		met(gate, { step: 'low-step-up', side: 'both', cleanReps: [10], effortMax: 5, ...s });
	it('that muscle was named, and no joint was: not asked opens nothing', () => {
		expect(at({ feltIn: ['thigh-front', 'buttock'], joint: 'none' })).toBe(true);
		expect(at({ feltIn: ['buttock'], felt: true, joint: 'none' })).toBe(true);
		expect(at({ feltIn: ['thigh-front'], joint: 'none' })).toBe(false);
		expect(at({ felt: true, joint: 'none' })).toBe(false);
		expect(at({ feltIn: ['buttock'] })).toBe(false);
		expect(at({ feltIn: ['buttock'], joint: 'knee' })).toBe(false);
		expect(at({ feltIn: ['buttock'], felt: false, joint: 'none' })).toBe(false);
		expect(at({})).toBe(false);
	});
	it('two muscles asked of one step are two gates to pass over', () => {
		expect(gateKey(gate)).not.toBe(gateKey({ kind: 'felt', step: 'low-step-up', muscle: 'thigh-front' }));
		expect(gateKey({ kind: 'felt', step: 'bridge' })).toBe('gate:felt:bridge');
		expect(gateAsks(gate)).toContain('the buttock felt in');
	});
	it('without one, the muscle the step is for has to be said felt', () => {
		const any: Gate = { kind: 'felt', step: 'low-step-up' };
		const on = (s: Partial<Shown>): boolean =>
			met(any, { step: 'low-step-up', side: 'both', cleanReps: [10], effortMax: 5, ...s });
		expect([on({ felt: true }), on({ feltIn: ['calf'] })]).toEqual([true, false]);
	});
});

describe('pain at most', () => {
	it('the larger of usual and safe, or a number; what was not told opens nothing', () => {
		const usual: Gate = { kind: 'pain-at-most', step: 'bridge' };
		expect(met(usual, shown({ pain: 3, calm: 3 }))).toBe(true);
		expect(met(usual, shown({ pain: 4, calm: 3 }))).toBe(false);
		expect(met(usual, shown({ calm: 3 }))).toBe(false);
		expect(met(usual)).toBe(false);
		const two: Gate = { kind: 'pain-at-most', step: 'bridge', most: 2 };
		expect([met(two, shown({ pain: 2, calm: 9 })), met(two, shown({ pain: 3, calm: 9 }))]).toEqual([
			true,
			false
		]);
		expect(met(usual, shown({ pain: 5, calm: 3 }), shown({ pain: 2, calm: 3 }))).toBe(true);
		expect(gateAsks(usual)).toContain('no more than usual or safe');
	});
	it('is shown by the region that is treated, as far as it was told', () => {
		const session: Session = {
			date: '2026-03-10',
			observed: true,
			prescribed: { sets: 1, reps: 10 },
			sets: [{ reps: 10 }],
			pains: [
				{ region: 'knee-right', peak: 3 },
				{ region: 'back', peak: 7 }
			],
			felt: { muscle: true, joint: 'none' }
		};
		expect(shownIn('bridge', 'right', session, { region: 'knee-right', most: 2 })[0]).toMatchObject({
			pain: 3,
			calm: 2,
			joint: 'none'
		});
		expect(shownIn('bridge', 'right', session, { region: 'hip-left', most: 2 })[0]).not.toHaveProperty(
			'pain'
		);
		expect(shownIn('bridge', 'right', session)[0]).not.toHaveProperty('pain');
	});
});

describe('the gates of the trade', () => {
	const stepBy = (id: string) =>
		Object.values(FAMILIES)
			.flatMap((f) => f.steps)
			.find((s) => s.id === id)!;
	const BOTH = ['thigh-front', 'buttock'] as const;
	const open = (id: string, ...history: readonly Shown[]): boolean =>
		stepBy(id).gates.every((g) => gateState(g, history).met);
	const of = (step: string, patch: Partial<Shown> = {}): Shown => shown({ step, ...patch });
	it.each([
		[
			'goblet-squat',
			[of('free-squat', { cleanReps: [10, 10, 10], feltIn: BOTH, joint: 'none' })],
			{ joint: 'knee', felt: false }
		],
		['step-up-held', [of('low-step-up', { feltIn: BOTH, joint: 'none' })], { feltIn: ['thigh-front'] }],
		['step-up-held', [of('low-step-up', { feltIn: BOTH, joint: 'none' })], { feltIn: ['buttock'] }],
		['step-up-held', [of('low-step-up', { feltIn: BOTH, joint: 'none' })], { joint: 'knee' }],
		['hands-on-thighs-hinge', [of('kneeling-hinge', { cleanReps: [8], confidence: 5 })], { confidence: 4 }],
		['standing-abduction', [of('side-lying-lift', { cleanReps: [10, 10] })], { cleanReps: [10, 9] }],
		['hinge-loaded', [of('free-hinge', { pain: 2, calm: 2 })], { pain: 3 }],
		['weighted-passes', [of('stance-passes', { cleanReps: [20], confidence: 7 })], { confidence: 6 }],
		['weighted-bridge', [of('bridge', { cleanReps: [10, 10, 10], felt: true })], { felt: false }],
		['stacked-short-squat', [of('stacked-hold', { cleanReps: [10] })], { cleanReps: [9] }]
	] as const)('%s opens by a history, and just not by a lesser one', (id, history, less) => {
		const facts = { technique: 'stacked' as const };
		const opens = (h: readonly Shown[]): boolean => stepBy(id).gates.every((g) => gateState(g, h, facts).met);
		expect(opens(history)).toBe(true);
		expect(opens(history.map((s) => ({ ...s, ...less })))).toBe(false);
	});
	it('the heel raise with bent knees waits for nothing', () => {
		expect(stepBy('bent-knee-heel-raise').gates).toEqual([]);
		expect(open('bent-knee-heel-raise')).toBe(true);
	});
});
