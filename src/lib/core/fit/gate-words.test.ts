/** Every kind of gate: what meets it, what just does not, and what is said of it so far. Common practice. */
import { describe, expect, it } from 'vitest';
import type { Dose, Gate } from '../exercise/family.ts';
import { gateState, type GateFacts, type Shown } from './gate.ts';

const on = (patch: Partial<Shown> = {}): Shown => ({
	...{ step: 'bridge', side: 'both', cleanReps: [10], effortMax: 5 },
	...patch
});
/** Whether it is met, and the words. */
const state = (gate: object, history: readonly Shown[] = [], facts: GateFacts = {}) => {
	const { met, shown } = gateState({ step: 'bridge', ...gate } as Gate, history, facts);
	return [met, shown];
};
const other = on({
	step: 'clamshell',
	cleanReps: [99, 99],
	felt: true,
	confidence: 10,
	faults: {},
	pain: 0,
	calm: 9
});

describe('what was done', () => {
	it('clean repetitions: so many sets in one session, not over several, of that step', () => {
		const gate = { kind: 'clean-reps', sets: 2, reps: 8 };
		expect(state(gate)).toEqual([false, 'not done yet']);
		expect(state(gate, [other])).toEqual([false, 'not done yet']);
		expect(state(gate, [on({ cleanReps: [8, 9] })])).toEqual([true, '2×8 (best set 9)']);
		expect(state(gate, [on({ cleanReps: [8, 7] }), on({ cleanReps: [12] })])).toEqual([
			false,
			'1×8 (best set 12)'
		]);
		expect(state(gate, [on({ cleanReps: [9, 9], untreated: true })])).toEqual([false, 'not done yet']);
	});
	it('mastered: the dose the step ends at; a step without one is not', () => {
		const targetOf = (): Dose => ({ sets: 2, reps: 8 }) as Dose;
		expect(state({ kind: 'mastered' }, [on({ cleanReps: [8, 8] })], { targetOf })).toEqual([
			true,
			'2×8 (best set 8)'
		]);
		expect(state({ kind: 'mastered' }, [on({ cleanReps: [8] })], { targetOf })[0]).toBe(false);
		const none = [false, 'not done yet'];
		expect(state({ kind: 'mastered' }, [on()])).toEqual(none);
		expect(state({ kind: 'mastered' }, [on()], { targetOf: () => undefined })).toEqual(none);
	});
	it('easy repetitions: effort and repetitions of one session', () => {
		const gate = { kind: 'easy-reps', reps: 10, effortMax: 5 };
		expect(state(gate)).toEqual([false, 'not done yet']);
		expect(state(gate, [on()])).toEqual([true, 'best set 10']);
		expect(state(gate, [on({ cleanReps: [4, 10] })])[0]).toBe(true);
		expect(state(gate, [on({ effortMax: 6 }), on({ cleanReps: [9] })])).toEqual([false, 'best set 10']);
		expect(state(gate, [on({ effortMax: undefined })])[0]).toBe(false);
	});
	it('held on both sides: each by itself, or both at once', () => {
		const gate = { kind: 'held', sec: 30 };
		const side = (which: 'left' | 'right' | 'both', sec: number, more: Partial<Shown> = {}) =>
			on({ side: which, cleanReps: [sec], ...more });
		expect(state(gate)).toEqual([false, 'not done yet']);
		expect(state(gate, [side('left', 30), side('right', 30.9)])).toEqual([true, 'left 30 s, right 30 s']);
		expect(state(gate, [side('left', 30.9), side('right', 29.9)])).toEqual([false, 'left 30 s, right 29 s']);
		expect(state(gate, [side('left', 29), side('right', 31)])).toEqual([false, 'left 29 s, right 31 s']);
		expect(state(gate, [side('both', 30.5)])).toEqual([true, '30 s both sides']);
		// The leg that is not treated answers for its own side.
		expect(state(gate, [side('left', 40), side('right', 40, { untreated: true })])[0]).toBe(true);
	});
	it('one side as much as the other, all sets of a session together', () => {
		const gate = { kind: 'sides-within', share: 0.9 };
		const reps = (side: 'left' | 'right' | 'both', ...cleanReps: number[]) => on({ side, cleanReps });
		expect(state(gate)).toEqual([false, '0 % (left 0, right 0)']);
		expect(state(gate, [reps('left', 5, 4), reps('right', 10)])).toEqual([true, '90 % (left 9, right 10)']);
		expect(state(gate, [reps('left', 10), reps('right', 5, 3)])).toEqual([false, '80 % (left 10, right 8)']);
		expect(state(gate, [reps('left', 10), reps('left', 2), reps('right', 10)])[0]).toBe(true);
		expect(state(gate, [reps('both', 10)])).toEqual([false, '0 % (left 0, right 0)']);
	});
});

describe('how it was', () => {
	it('a fault in less than a quarter of the sets that were watched last', () => {
		const gate = { kind: 'fault-free', fault: 'knee-in' };
		const none = [false, 'form not watched yet'];
		expect([state(gate), state(gate, [on()]), state(gate, [other])]).toEqual([none, none, none]);
		const seen = (share: number) => on({ faults: { 'knee-in': share, 'heel-off': 1 } });
		expect(state(gate, [seen(0.24)])).toEqual([true, 'free of it']);
		expect(state(gate, [seen(0.25)])).toEqual([false, 'seen in 25 % of sets']);
		expect(state(gate, [on({ faults: { 'heel-off': 1 } })])).toEqual([true, 'free of it']);
		expect(state(gate, [seen(0.9), seen(0.1), on()])[0]).toBe(true);
		expect(state(gate, [seen(0.1), seen(0.9)])[0]).toBe(false);
	});
	it('confidence as it was told last', () => {
		const gate = { kind: 'confidence', least: 7 };
		const none = [false, 'not asked yet'];
		expect([state(gate), state(gate, [on()]), state(gate, [other])]).toEqual([none, none, none]);
		const sure = (confidence: number) => on({ confidence });
		expect([state(gate, [sure(7)]), state(gate, [sure(9), sure(6), on()])]).toEqual([
			[true, '7 of 10'],
			[false, '6 of 10']
		]);
	});
	it('felt: each way of not knowing is said', () => {
		const any = { kind: 'felt' };
		expect(state(any)).toEqual([false, 'not asked yet']);
		expect([state(any, [on({ felt: true })]), state(any, [on({ felt: false })])]).toEqual([
			[true, 'felt'],
			[false, 'not felt']
		]);
		expect(state(any, [on({ feltIn: ['calf'] })])).toEqual([false, 'not asked yet']);
		expect(state(any, [on({ felt: true }), on()])).toEqual([true, 'felt']);
		const named = { kind: 'felt', muscle: 'buttock' };
		expect(state(named, [on({ felt: true })])).toEqual([false, 'felt; in which muscle was not asked']);
		expect(state(named, [on({ feltIn: ['calf'] })])).toEqual([false, 'felt elsewhere']);
		expect(state(named, [on({ feltIn: ['buttock'], joint: 'knee' })])).toEqual([true, 'felt']);
		const free = { kind: 'felt', jointFree: true };
		expect(state(free, [on({ felt: true })])).toEqual([false, 'felt; whether in a joint too was not asked']);
		expect(state(free, [on({ felt: true, joint: 'knee' })])).toEqual([false, 'felt in the knee too']);
		expect(state(free, [on({ felt: true, joint: 'none' })])).toEqual([true, 'felt']);
		expect(state({ kind: 'felt', jointFree: false }, [on({ felt: true, joint: 'knee' })])[0]).toBe(true);
	});
	it('pain: told last, against what is calm or a number', () => {
		const none = [false, 'not told yet'];
		const calm = { kind: 'pain-at-most' };
		expect([state(calm), state(calm, [on()]), state(calm, [on({ pain: 1 })])]).toEqual([none, none, none]);
		expect(state(calm, [on({ pain: 3, calm: 3 }), on()])).toEqual([true, '3, at most 3']);
		expect(state({ ...calm, most: 2 }, [on({ pain: 3 })])).toEqual([false, '3, at most 2']);
		expect(state({ ...calm, most: 2 })).toEqual(none);
	});
});

describe('what is not done', () => {
	it('a technique, a clearance and a stage', () => {
		expect(state({ kind: 'technique', technique: 'stacked' })).toEqual([false, 'ordinary rise']);
		expect(state({ kind: 'technique', technique: 'stacked' }, [], { technique: 'stacked' })).toEqual([
			true,
			'stacked'
		]);
		expect(state({ kind: 'technique', technique: 'stacked' }, [], { technique: 'parallel' })[0]).toBe(false);
		const impact = { kind: 'clearance', what: 'impact' };
		expect([state(impact), state(impact, [], { clearances: ['loaded-spine'] })]).toEqual([
			[false, 'not cleared'],
			[false, 'not cleared']
		]);
		expect(state(impact, [], { clearances: ['impact'] })).toEqual([true, 'cleared']);
		expect(state({ kind: 'stage', course: 'knee', stage: 'load' }, [on()])).toEqual([false, 'not done yet']);
	});
	it('of several ways the one that is met speaks, or each of them', () => {
		const gates = [
			{ kind: 'felt', step: 'bridge' },
			{ kind: 'confidence', step: 'bridge', least: 7 }
		];
		expect(state({ kind: 'any-of', gates }, [on({ confidence: 8 })])).toEqual([true, '8 of 10']);
		expect(state({ kind: 'any-of', gates })).toEqual([false, 'not asked yet · not asked yet']);
	});
});
