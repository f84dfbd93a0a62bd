/**
 * The arrival card (practice setting): usual + 1 goes, + 2 is lighter; at the stop line, or usual + 3 and above acceptable, the region is closed;
 * fever closes the day; new swelling its limb; after a fall four questions tell.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { AfterFall } from '../safety/alarm.ts';
import {
	arrival,
	ARRIVALS,
	arrivedDay,
	keptOf,
	lighterDose,
	lighterSets,
	type ArrivalInput
} from './arrival.ts';
import { closedToday } from './closed-today.ts';

const LINES = { acceptable: 5, stop: 8 };
const at = (region: string, usual: number, now: number | undefined): ArrivalInput['pains'][number] => ({
	region,
	usual,
	...LINES,
	...(now === undefined ? {} : { now })
});
const card = (now: number | undefined, usual = 2, patch: Partial<ArrivalInput> = {}): ArrivalInput => ({
	pains: [at('knee-right', usual, now)],
	fever: 'no',
	fall: 'no',
	newSwelling: 'no',
	calf: 'no',
	...patch
});
const NO_HARM: AfterFall = {
	hipOrNoWeight: 'no',
	legShorterOrTurned: 'no',
	headOnThinners: 'no',
	drowsyOrVomiting: 'no',
	otherPain: 'no'
};

describe('go, lighter, not today', () => {
	it('by how far the pain is above usual, and by the acceptable line', () => {
		expect([0, 2, 3, 4, 5, 6, 8, 9].map((n) => arrival(card(n)).answer)).toEqual([
			'go',
			'go',
			'go',
			'lighter',
			'lighter',
			'not-today',
			'not-today',
			'not-today'
		]);
		expect(arrival(card(4))).toMatchObject({
			setsShare: 0.6,
			closes: [],
			reasons: [{ code: 'pain', region: 'knee-right', value: 4, usual: 2 }]
		});
	});
	it('the stop line closes whatever is usual; above acceptable alone does not', () => {
		expect(arrival(card(8, 7)).answer).toBe('not-today');
		expect(arrival(card(7, 5)).answer).toBe('lighter');
		expect(arrival(card(8, 5)).answer).toBe('not-today');
	});
	it('go says how far above usual it is', () =>
		expect([2, 3].map((n) => arrival(card(n)).over)).toEqual([0, 1]));
	it('a sore region is closed and the others go on', () => {
		const both = arrival({ ...card(2), pains: [at('knee-right', 2, 2), at('back', 2, 6)] });
		expect(both).toMatchObject({ answer: 'lighter', closes: ['back'], setsShare: 1 });
		expect(closedToday(keptOf(card(2), both), { region: 'back', tags: [] })).toHaveLength(1);
		expect(closedToday(keptOf(card(2), both), { region: 'knee-right', tags: [] })).toEqual([]);
	});
	it('fever closes the day, a cold makes it lighter, whatever the pain', () => {
		expect(arrival(card(0, 2, { fever: 'yes' }))).toMatchObject({ answer: 'not-today', closes: 'day' });
		expect(arrival(card(0, 2, { fever: 'cold' }))).toMatchObject({ answer: 'lighter', closes: [] });
	});
	it('new swelling closes its limb; hot it is seen the same day, and cannot-stand is an emergency', () => {
		const swollen = (hot: 'yes' | 'no', cannotStand: 'yes' | 'no') =>
			arrival({
				...card(1),
				pains: [at('knee-right', 2, 1), at('hip-right', 2, 1), at('back', 2, 1)],
				newSwelling: 'yes',
				swollen: { region: 'knee-right', hot, cannotStand }
			});
		expect(swollen('no', 'no')).toMatchObject({ closes: ['knee-right', 'hip-right'], raised: [] });
		expect(swollen('yes', 'no')).toMatchObject({
			closes: ['knee-right', 'hip-right'],
			raised: [{ alarm: 'hot-joint', region: 'knee-right' }]
		});
		expect(swollen('yes', 'yes')).toMatchObject({
			answer: 'not-today',
			closes: 'day',
			raised: [{ alarm: 'emergency-hot-joint' }]
		});
	});
	it('one swollen calf closes everything', () =>
		expect(arrival(card(0, 2, { calf: 'yes' }))).toMatchObject({
			closes: 'day',
			raised: [{ alarm: 'calf-swelling', now: 'stop-all' }]
		}));
	it('after a fall: any of four questions, yes or unknown, is an emergency; other pain is not today; all no goes on', () => {
		const fell = (patch: Partial<AfterFall>) =>
			arrival(card(1, 2, { fall: 'yes', afterFall: { ...NO_HARM, ...patch } }));
		for (const key of ['hipOrNoWeight', 'legShorterOrTurned', 'headOnThinners', 'drowsyOrVomiting'] as const)
			for (const a of ['yes', 'unknown'] as const)
				expect(fell({ [key]: a }), key).toMatchObject({
					closes: 'day',
					raised: [{ alarm: 'emergency-after-fall', now: 'emergency' }]
				});
		expect(fell({ otherPain: 'yes' })).toMatchObject({
			closes: 'day',
			raised: [{ alarm: 'pain-after-fall' }]
		});
		expect(fell({})).toMatchObject({ answer: 'go', raised: [{ alarm: 'fell', now: 'note' }] });
		expect(arrival(card(1, 2, { fall: 'yes' })).answer).toBe('ask');
	});
	it('pressure over 180/110: nothing heavy; over 200/110: not today (ACSM)', () => {
		expect(arrival(card(1, 2, { systolic: 185, diastolic: 90 }))).toMatchObject({
			answer: 'lighter',
			easyOnly: true
		});
		expect(arrival(card(1, 2, { systolic: 180, diastolic: 110 }))).toMatchObject({
			answer: 'go',
			easyOnly: false
		});
		expect(arrival(card(1, 2, { systolic: 205, diastolic: 90 })).answer).toBe('not-today');
	});
	it('an open red flag ends it before anything else is looked at', () => {
		expect(arrival(card(0, 2, { flag: 'locked-knee' }))).toMatchObject({
			answer: 'not-today',
			reasons: [{ code: 'flag', flag: 'locked-knee' }]
		});
	});
	it('what was not answered is asked, and a reason not to train still wins', () => {
		expect(arrival(card(undefined)).answer).toBe('ask');
		for (const key of ['fall', 'fever', 'newSwelling', 'calf'] as const)
			expect(arrival(card(2, 2, { [key]: 'unknown' })).answer, key).toBe('ask');
		expect(arrival(card(undefined, 2, { fever: 'yes' })).answer).toBe('not-today');
		expect(arrival({ ...card(1), pains: [] }).answer).toBe('ask');
	});
	it('more pain never gives more work', () => {
		const worth = (a: ArrivalInput): number =>
			['not-today', 'ask', 'lighter', 'go'].indexOf(arrival(a).answer);
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 9 }),
				fc.integer({ min: 0, max: 10 }),
				(now, usual) => void expect(worth(card(now + 1, usual))).toBeLessThanOrEqual(worth(card(now, usual)))
			),
			{ seed: 2, numRuns: 200 }
		);
		expect(ARRIVALS.length).toBe(4);
	});
	it('clean is nothing at all beside usual pain', () => {
		const clean = (patch: Partial<ArrivalInput>, now = 2) =>
			keptOf(card(now, 2, patch), arrival(card(now, 2, patch))).clean;
		expect([
			clean({}),
			clean({}, 4),
			clean({ fever: 'cold' }),
			clean({ fall: 'yes', afterFall: NO_HARM }),
			clean({}, 9)
		]).toEqual([true, true, false, false, false]);
		expect(arrivedDay('2026-03-01', {})).toEqual({
			date: '2026-03-01',
			clean: false,
			unwell: false,
			fell: false,
			closed: []
		});
	});
});

describe('a lighter day', () => {
	it('three sets become two, one stays one', () =>
		expect([1, 2, 3, 4, 5].map((n) => lighterSets(n, 0.6))).toEqual([1, 1, 2, 2, 3]));
	it('of one set it is the repetitions, at least half', () => {
		expect(lighterDose({ sets: 3, reps: 10 })).toEqual({ sets: 2, reps: 10 });
		expect(lighterDose({ sets: 1, reps: 10 })).toEqual({ sets: 1, reps: 6 });
		expect(lighterDose({ sets: 1, reps: 3 })).toEqual({ sets: 1, reps: 2 });
		expect(lighterDose({ sets: 3, reps: 10 }, 1)).toEqual({ sets: 3, reps: 10 });
	});
});
