/**
 * Protocols in phases. Every number here is the test's own: protocols differ between surgeons, so that none is taken from a publication.
 * What is held: the calendar alone opens nothing, where phases overlap the stricter holds, a window binds whether or not the axis was measured.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays } from '../base/calendar-day.ts';
import {
	bindingsOn,
	phaseFault,
	phaseNow,
	phasesHolding,
	solvedLimits,
	weekOf,
	type Operated,
	type Phase
} from './protocol.ts';

const DAY = '2026-01-05';
const phase = (
	fromWeek: number,
	toWeek: number | null,
	maxDeg: number,
	patch: Partial<Phase> = {}
): Phase => ({
	fromWeek,
	toWeek,
	weightBearing: 'full',
	windows: [{ axis: 'kneeFlexion', side: 'right', maxDeg }],
	forbidden: [],
	...patch
});
const operated = (...phases: Phase[]): Operated => ({ region: 'knee-right', date: DAY, phases });
const THREE = operated(phase(0, 4, 70, { confirmedOn: DAY }), phase(4, 8, 90), phase(8, 12, 120));
const at = (o: Operated, week: number) => bindingsOn([o], [], addDays(DAY, 7 * week));
const knee = (o: Operated, week: number): number =>
	Math.min(...at(o, week).limits.map((l) => l.maxDeg ?? Infinity));

describe('weeks and phases', () => {
	it('the first week is week 1, and a phase ends the day before its next week', () => {
		expect(weekOf(DAY, '2026-01-11')).toBe(0);
		expect(phaseNow(THREE, '2026-01-11')).toEqual({
			week: 1,
			lastWeek: 12,
			phase: 1,
			until: '2026-02-01',
			overdue: null
		});
	});
	it('the first phase comes with the protocol: nobody has to confirm it', () =>
		expect(phaseNow(operated(phase(0, 4, 70), phase(4, 8, 90)), addDays(DAY, 14))).toMatchObject({
			phase: 1,
			overdue: null
		}));
	it('a phase whose week has come and that nobody confirmed is overdue, and the old one stays', () => {
		expect([3, 4, 9].map((w) => knee(THREE, w))).toEqual([70, 70, 70]);
		expect(phaseNow(THREE, addDays(DAY, 28))).toMatchObject({ phase: 1, overdue: 2 });
	});
	it('confirmed, it opens from its week and not before', () => {
		const confirmed = operated(
			phase(0, 4, 70),
			phase(4, 8, 90, { confirmedOn: addDays(DAY, 28) }),
			phase(8, 12, 120)
		);
		expect([3, 4, 7, 8].map((w) => knee(confirmed, w))).toEqual([70, 90, 90, 90]);
	});
	it('where phases overlap the stricter holds', () => {
		const overlap = operated(phase(0, 6, 70), phase(4, 8, 90, { confirmedOn: DAY }));
		expect([3, 5, 6].map((w) => knee(overlap, w))).toEqual([70, 70, 90]);
	});
	it('an unconfirmed phase that is tighter binds from its week: it may close, never open', () => {
		const tighter = operated(phase(0, null, 90), phase(4, 8, 60));
		expect([3, 4].map((w) => knee(tighter, w))).toEqual([90, 60]);
	});
	it('before its first phase begins, the first holds', () =>
		expect(phasesHolding([phase(2, 6, 70)], 0)).toHaveLength(1));
	it('as the calendar goes on without anybody’s word, nothing ever opens', () => {
		const phases = fc
			.array(fc.record({ length: fc.integer({ min: 1, max: 6 }), max: fc.integer({ min: 30, max: 140 }) }), {
				minLength: 1,
				maxLength: 4
			})
			.map((list) => {
				let from = 0;
				return list.map(({ length, max }): Phase => {
					const p = phase(from, from + length, max);
					from += length;
					return p;
				});
			});
		fc.assert(
			fc.property(phases, fc.integer({ min: 0, max: 40 }), (list, week) => {
				const o = operated(...list);
				expect(knee(o, week + 1)).toBeLessThanOrEqual(knee(o, week));
			}),
			{ seed: 11, numRuns: 1000 }
		);
	});
});

describe('what a phase holds', () => {
	it('weight, load and what is forbidden; none and touch leave no weight, partial is told apart', () => {
		const one = (patch: Partial<Phase>) => at(operated(phase(0, null, 90, patch)), 1);
		expect(one({ weightBearing: 'touch' })).toMatchObject({ noWeight: ['right'], partial: [] });
		expect(one({ weightBearing: 'partial', partialKg: 20 })).toMatchObject({
			noWeight: [],
			partial: ['right']
		});
		expect(one({ highestLoadKg: 5, forbidden: ['impact'] })).toMatchObject({
			highestLoadKg: 5,
			withheld: [{ tag: 'impact', because: 'protocol' }]
		});
	});
	it('a knee that may not straighten is a knee that stays bent; a hip limit caps the fold; a movement without an axis withholds its tag', () => {
		expect(solvedLimits([{ axis: 'kneeExtension', side: 'right', maxDeg: -10, when: 'open-chain' }])).toEqual(
			[{ axis: 'kneeFlexion', side: 'right', minDeg: 10, when: 'open-chain' }]
		);
		expect(solvedLimits([{ axis: 'hipFlexion', side: 'left', maxDeg: 90 }])).toEqual([
			{ axis: 'thighTrunkFlexion', side: 'left', maxDeg: 90 }
		]);
		const turned = bindingsOn(
			[],
			[
				{ axis: 'hipInternalRotation', side: 'left', maxDeg: 0 },
				{ axis: 'hipAdduction', side: 'left', maxDeg: 0 },
				{ axis: 'hipAbduction', side: 'left', maxDeg: 20 },
				{ axis: 'spineExtension', side: 'left', maxDeg: 0 }
			],
			DAY
		);
		expect(turned).toMatchObject({
			limits: [
				{ axis: 'hipInternalRotation', side: 'left', maxDeg: 0 },
				{ axis: 'hipAbduction', side: 'left', maxDeg: 20 }
			],
			withheld: [
				{ tag: 'end-range-rotation' },
				{ tag: 'adduction-past-midline' },
				{ tag: 'hip-out' },
				{ tag: 'spine-backward' }
			]
		});
	});
	it('bending of the back is one for both sides, and caps the bow', () => {
		const bent = bindingsOn([], [{ axis: 'spineFlexion', side: 'right', maxDeg: 30 }], DAY);
		expect(bent.limits).toEqual([
			{ axis: 'forwardBow', side: 'left', maxDeg: 30 },
			{ axis: 'forwardBow', side: 'right', maxDeg: 30 }
		]);
		expect(bent.withheld.map((w) => w.tag)).toEqual(['spine-end-bend', 'loaded-spine-bending']);
	});
});

describe('phases that do not hold together', () => {
	it.each([
		['empty', [phase(4, 4, 90)], 0],
		['a gap', [phase(0, 4, 70), phase(6, 8, 90)], 1],
		['out of order', [phase(4, 8, 70), phase(0, 4, 90)], 1],
		['partial weight without kilograms', [phase(0, 4, 70, { weightBearing: 'partial' })], 0],
		['a window that is none', [phase(0, 4, 70, { windows: [{ axis: 'kneeFlexion', side: 'right' }] })], 0],
		[
			'an empty window',
			[phase(0, 4, 70, { windows: [{ axis: 'kneeFlexion', side: 'right', minDeg: 90, maxDeg: 10 }] })],
			0
		]
	])('%s is named with its phase', (_, phases, n) => expect(phaseFault(phases)?.phase).toBe(n));
	it('phases that follow or overlap are fine', () => {
		expect(phaseFault(THREE.phases)).toBeUndefined();
		expect(phaseFault([phase(0, 6, 70), phase(4, null, 90)])).toBeUndefined();
	});
});
