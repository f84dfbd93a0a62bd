/** The arrival card (practice setting): usual + 1 goes, + 2 is lighter, + 3 or fever, fall, new swelling is not today. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arrival, ARRIVALS, lighterSets, type ArrivalInput } from './arrival.ts';

const card = (now: number | undefined, usual = 2, patch: Partial<ArrivalInput> = {}): ArrivalInput => ({ pains: [{ region: 'knee-right', usual, ...(now === undefined ? {} : { now }) }], fever: 'no', fall: 'no', newSwelling: 'no', ...patch });

describe('go, lighter, not today', () => {
	it('by how far the pain is above usual', () => {
		expect([0, 2, 3, 4, 5, 9].map((n) => arrival(card(n)).answer)).toEqual(['go', 'go', 'go', 'lighter', 'not-today', 'not-today']);
		expect(arrival(card(4))).toMatchObject({ setsShare: 0.6, reasons: [{ code: 'pain', region: 'knee-right', value: 4, usual: 2 }] });
	});
	it('the worst region decides', () => {
		expect(arrival({ ...card(2), pains: [{ region: 'knee-right', now: 2, usual: 2 }, { region: 'back', now: 6, usual: 3 }] }).answer).toBe('not-today');
	});
	it('fever, fall and new swelling each end it, whatever the pain', () => {
		for (const key of ['fever', 'fall', 'newSwelling'] as const) expect(arrival(card(0, 2, { [key]: 'yes' })).answer).toBe('not-today');
	});
	it('an open red flag ends it before anything else is looked at', () => {
		expect(arrival(card(0, 2, { flag: 'locked-knee' }))).toMatchObject({ answer: 'not-today', reasons: [{ code: 'flag', flag: 'locked-knee' }] });
	});
	it('what was not answered is asked, and a reason not to train still wins', () => {
		expect(arrival(card(undefined)).answer).toBe('ask');
		expect(arrival(card(2, 2, { fall: 'unknown' })).answer).toBe('ask');
		expect(arrival(card(undefined, 2, { fever: 'yes' })).answer).toBe('not-today');
		expect(arrival({ pains: [], fever: 'no', fall: 'no', newSwelling: 'no' }).answer).toBe('ask');
	});
	it('more pain never gives more work', () => {
		const worth = (a: ArrivalInput): number => ['not-today', 'ask', 'lighter', 'go'].indexOf(arrival(a).answer);
		fc.assert(fc.property(fc.integer({ min: 0, max: 9 }), fc.integer({ min: 0, max: 10 }), (now, usual) => void expect(worth(card(now + 1, usual))).toBeLessThanOrEqual(worth(card(now, usual)))), { seed: 2, numRuns: 200 });
		expect(ARRIVALS.length).toBe(4);
	});
	it('three sets become two, one stays one', () => expect([1, 2, 3, 4, 5].map((n) => lighterSets(n, 0.6))).toEqual([1, 1, 2, 2, 3]));
});
