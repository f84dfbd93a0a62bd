/** What a session shows for gates, and how pain lay around it. Common practice: the sore leg is judged by itself, compared with the other. */
import { describe, expect, it } from 'vitest';
import { legsOf, oppositeSide, SIDES } from '../body/axis.ts';
import { envelopeTrying } from '../client/envelope.ts';
import { gateState } from '../fit/gate.ts';
import type { Session } from './record.ts';
import { shownIn } from './shown.ts';
import { painAround } from './work.ts';

const session = (patch: Partial<Session> = {}): Session => ({
	date: '2026-02-28',
	observed: true,
	prescribed: { sets: 2, reps: 10 },
	sets: [
		{ reps: 10, effort: 5, cleanReps: 9 },
		{ reps: 8, effort: 6, cleanReps: 12 }
	],
	pains: [{ region: 'knee-left', before: 1, peak: 3 }],
	...patch
});

describe('what a session shows', () => {
	it('nothing when nobody saw it', () => {
		expect(shownIn('x', 'left', session({ observed: false }))).toEqual([]);
	});
	it('clean work of the treated side, never more than was done, with the hardest effort', () => {
		expect(shownIn('x', 'left', session())).toEqual([
			{ step: 'x', side: 'left', cleanReps: [9, 8], effortMax: 6, faults: {} }
		]);
		expect(shownIn('x', null, session())[0]?.side).toBe('both');
		expect(shownIn('x', 'left', session({ sets: [{ reps: 5 }], confidence: 4 }))[0]).toMatchObject({
			cleanReps: [0],
			effortMax: undefined,
			confidence: 4
		});
	});
	it('only a yes is felt: not asked is not yes, in a joint is not in the muscle', () => {
		const felt = (f: Session['felt'], share = 0) =>
			shownIn(
				'x',
				'left',
				session({ ...(f === undefined ? {} : { felt: f }), faults: { 'work-not-felt': share } })
			)[0]?.felt;
		expect([
			felt(undefined),
			felt({ joint: 'none' }),
			felt({ muscle: true }),
			felt({ muscle: true, joint: 'none' }),
			felt({ muscle: true, joint: 'knee' }),
			felt({ muscle: false })
		]).toEqual([undefined, undefined, true, true, false, false]);
		expect([felt({ muscle: true }, 0.24), felt({ muscle: true }, 0.25)]).toEqual([true, false]);
	});
	it('the other leg apart: marked where one is treated, a plain right leg where neither is', () => {
		const both = session({
			sets: [
				{ reps: 10, cleanReps: 6, otherClean: 10 },
				{ reps: 10, cleanReps: 6 }
			]
		});
		expect(shownIn('x', 'right', both)).toMatchObject([
			{ side: 'left', cleanReps: [10, 0], untreated: true },
			{ side: 'right', cleanReps: [6, 6] }
		]);
		const back = shownIn('x', null, both);
		expect(back).toMatchObject([{ side: 'right' }, { side: 'left' }]);
		expect(back[0]).not.toHaveProperty('untreated');
		expect(
			gateState({ kind: 'clean-reps', step: 'x', sets: 1, reps: 10 }, shownIn('x', 'right', both)).met
		).toBe(false);
	});
	it('legs: the treated one first, the left where neither is', () => {
		for (const side of SIDES) expect(legsOf(side)).toEqual({ own: side, other: oppositeSide(side) });
		expect(legsOf(null)).toEqual({ own: 'left', other: 'right' });
		expect(SIDES.map(oppositeSide).map(oppositeSide)).toEqual(SIDES);
	});
});

describe('pain around a session', () => {
	it('takes the morning that followed, of that region, over the end of a month; what was not said is null', () => {
		const mornings = [
			{ date: '2026-03-01', region: 'hip-left', pain: 7 },
			{ date: '2026-03-01', region: 'knee-left', pain: 2 },
			{ date: '2026-02-28', region: 'knee-left', pain: 5 }
		];
		expect(painAround(session(), 'knee-left', mornings)).toEqual({
			before: 1,
			peak: 3,
			after: null,
			evening: null,
			next: 2
		});
		expect(painAround(session(), 'back', mornings)).toEqual({
			before: null,
			peak: null,
			after: null,
			evening: null,
			next: null
		});
	});
});

describe('a range that is tried out', () => {
	const known = {
		kneeFlexion: { left: { painFree: 80, tolerable: 90, end: 100, date: '2026-01-01', loaded: true } }
	};
	it('changes that side alone, leaves what was measured as it was, and the end is never before it', () => {
		const tried = envelopeTrying(known, 'kneeFlexion', 'left', 120, '2026-03-12');
		expect(tried.kneeFlexion?.left).toEqual({
			painFree: 120,
			tolerable: 120,
			end: 120,
			date: '2026-03-12',
			loaded: true
		});
		expect(envelopeTrying(known, 'kneeFlexion', 'left', 70, '2026-03-12').kneeFlexion?.left?.end).toBe(100);
		expect(envelopeTrying(known, 'hipExtension', 'right', 10, '2026-03-12')).toMatchObject({
			...known,
			hipExtension: { right: { tolerable: 10, loaded: false } }
		});
		expect(known.kneeFlexion.left.tolerable).toBe(90);
	});
});
