/** Decisions as sentences: short, plain, never blaming; every code the core can say has words. */
import fc from 'fast-check';
import { othersText } from './today.ts';
import { describe, expect, it } from 'vitest';
import { edge, histories, morning, mornings, record, session, TODAY } from '../../../tests/records.ts';
import { decide } from '../core/decision/decide.ts';
import { judge } from '../core/decision/judge.ts';
import { whenMorning } from './days.ts';
import {
	alternativeText,
	changeText,
	decisionSentence,
	flipText,
	outlookText,
	reasonText
} from './decision.ts';
import type { Phase } from '../core/client/protocol.ts';
import { regionName } from './names.ts';
import { holdsText } from './protocol.ts';

describe('sentences', () => {
	it('hold: the morning, its usual, and what would flip it', () => {
		const t = decide(record({ mornings: [...mornings('2026-03-08', 11, 2), morning('2026-03-19', 3)] }));
		expect(decisionSentence(t, '2026-03-19')).toBe('Hold: right knee was 3 this morning, above its usual 2.');
		expect(t.nearestFlip === null ? '' : flipText(t.nearestFlip)).toBe('It would advance at 2.');
	});
	it('advance says the exact change; a step change names both steps and the starting dose', () => {
		expect(decisionSentence(judge(record()), TODAY)).toBe('Advance: 2×10 to 3×10.');
		const complete = { ...record().exercise, dose: { ...record().exercise.dose, sets: 3 } };
		const t = judge(record({ exercise: complete, nextSteps: [edge()] }));
		expect(t.change === null ? '' : changeText(t.change)).toBe(
			'from Standard seat to Squat held at a counter, 1×5'
		);
	});
	it('a missing morning says what each value would give', () => {
		const t = decide(record({ sessions: [session('2026-03-17'), session('2026-03-19')] }));
		expect(outlookText(t)).toBe('Advance at 0–2, hold at 3, regress at 4–10.');
	});
	it('every reason, change, flip and alternative of thousands of histories has words, not codes', () => {
		const codes = /[a-z]+\.[a-z]+|undefined|NaN|\[object|null/;
		fc.assert(
			fc.property(histories, (h) => {
				const t = judge(h);
				for (const c of t.considered)
					for (const r of c.why) {
						expect(reasonText(r, TODAY)).not.toMatch(codes);
						expect(reasonText(r, TODAY)).not.toMatch(/\bafter on\b/);
					}
				expect(decisionSentence(t, TODAY)).not.toMatch(codes);
				if (t.change !== null) expect(changeText(t.change)).not.toMatch(codes);
				for (const a of t.alternatives) expect(alternativeText(a)).not.toMatch(codes);
			}),
			{ seed: 23, numRuns: 1500 }
		);
	});
	it('days and regions in words', () => {
		expect(whenMorning('2026-03-18', '2026-03-20')).toBe('on Wednesday morning');
		expect(whenMorning('2026-03-01', '2026-03-20')).toBe('on the morning of Sun 1 Mar');
		expect(regionName('knee-right')).toBe('right knee');
		expect(regionName('back')).toBe('back');
	});
});

describe('what a protocol holds', () => {
	const phase = (p: Partial<Phase>): Phase => ({
		fromWeek: 0,
		toWeek: null,
		weightBearing: 'full',
		windows: [],
		forbidden: [],
		...p
	});
	const bend = (maxDeg: number, more: object = {}) => ({
		axis: 'kneeFlexion' as const,
		side: 'right' as const,
		maxDeg,
		...more
	});
	it('names the strictest of what overlaps, once; weight and load where they are held', () => {
		expect(holdsText([phase({ windows: [bend(100)] }), phase({ windows: [bend(120)] })])).toBe(
			'. Holds: right knee bend to 100°'
		);
		expect(
			holdsText([phase({ windows: [bend(120)] }), phase({ windows: [bend(100, { minDeg: 10 })] })])
		).toBe('. Holds: right knee bend 10° to 100°');
		expect(
			holdsText([
				phase({
					windows: [bend(100), bend(60, { when: 'loaded' })],
					weightBearing: 'touch',
					highestLoadKg: 8
				})
			])
		).toBe(
			'. Holds: right knee bend to 100°; right knee bend to 60°, loaded work; weight touching only; at most 8 kg'
		);
	});
	it('is silent where nothing is held', () =>
		expect([holdsText([]), holdsText([phase({ weightBearing: 'as-tolerated' })])]).toEqual(['', '']));
});

it('other exercises on Today: a few by name, many by their number', () => {
	const other = (step: string, decision: 'hold' | 'advance') => ({ step, decision });
	expect(othersText([other('Bridge', 'hold'), other('Clamshell', 'advance')])).toBe(
		'Bridge: hold · Clamshell: advance'
	);
	const many = ['A', 'B', 'C'].map((s) => other(s, 'advance'));
	expect(othersText(many)).toBe('A: advance · B: advance · C: advance');
	expect(othersText([...many, other('D', 'hold')])).toBe('3 others: advance · one other: hold');
});
