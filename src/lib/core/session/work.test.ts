/** What one session shows. Missing stays missing; doing more than asked is not more than all. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Session } from './record.ts';
import { KNEE, session } from '../../../../tests/records.ts';
import { cleanShare, hardestEffort, painAdded, painIn, shareDone } from './work.ts';

const DAY = '2026-03-18';

describe('one session', () => {
	it('counts each set up to what was asked: 15 and 5 of 2×10 is three quarters', () => {
		expect(shareDone(session(DAY, { sets: [{ reps: 15 }, { reps: 5 }] }))).toBe(0.75);
		expect(shareDone(session(DAY, { sets: [] }))).toBe(0);
		expect(shareDone(session(DAY, { prescribed: { sets: 0, reps: 0 }, sets: [] }))).toBe(1);
	});
	it('a set with less than the load asked is not the work asked; one let down counts up to there', () => {
		const prescribed = { sets: 2, reps: 10, loadKg: 8 };
		const share = (...sets: Session['sets']) => shareDone(session(DAY, { prescribed, sets }));
		expect(share({ reps: 10 }, { reps: 10, loadKg: 8 })).toBe(1);
		expect(share({ reps: 10 }, { reps: 10, loadKg: 10 })).toBe(1);
		expect(share({ reps: 10 }, { reps: 10, loadKg: 6 })).toBe(0.5);
		expect(share({ reps: 10 }, { reps: 10, drop: { afterReps: 4, toKg: 6 } })).toBe(0.7);
		expect(share({ reps: 10 }, { reps: 10, drop: { afterReps: 4, toKg: 8 } })).toBe(1);
	});
	it('the hardest set counts, and one set without an effort leaves it unknown', () => {
		expect(
			hardestEffort(
				session(DAY, {
					sets: [
						{ reps: 10, effort: 4 },
						{ reps: 10, effort: 8 }
					]
				})
			)
		).toBe(8);
		expect(hardestEffort(session(DAY, { sets: [{ reps: 10, effort: 4 }, { reps: 10 }] }))).toBeUndefined();
	});
	it('clean share is over all repetitions done', () => {
		expect(
			cleanShare(
				session(DAY, {
					sets: [
						{ reps: 10, cleanReps: 10 },
						{ reps: 5, cleanReps: 2 }
					]
				})
			)
		).toBeCloseTo(0.8, 12);
		expect(cleanShare(session(DAY, { sets: [{ reps: 10 }] }))).toBeUndefined();
		expect(cleanShare(session(DAY, { sets: [{ reps: 0, cleanReps: 0 }] }))).toBeUndefined();
	});
	it('what a session added is its peak less what was there before, in its own region', () => {
		const s = session(DAY, {
			pains: [
				{ region: KNEE, before: 2, peak: 5, after: 3 },
				{ region: 'back', peak: 8 }
			]
		});
		expect([painAdded(s, KNEE), painAdded(s, 'back'), painAdded(s, 'hip-left')]).toEqual([3, 8, 0]);
		expect(painIn(s, 'hip-left')).toBeUndefined();
	});
	it('shares stay between nothing and all, whatever was typed', () => {
		const set = fc.record({
			reps: fc.integer({ min: 0, max: 100 }),
			cleanReps: fc.integer({ min: 0, max: 100 })
		});
		fc.assert(
			fc.property(
				fc.array(set, { maxLength: 6 }),
				fc.integer({ min: 0, max: 6 }),
				fc.integer({ min: 0, max: 30 }),
				(sets, n, reps) => {
					const s = session(DAY, { sets, prescribed: { sets: n, reps } });
					for (const share of [shareDone(s), cleanShare(s) ?? 0]) {
						expect(share).toBeGreaterThanOrEqual(0);
						expect(share).toBeLessThanOrEqual(1);
					}
				}
			),
			{ seed: 29, numRuns: 500 }
		);
	});
});
