/**
 * "That hurts" and "too easy", answered while the client is at it. Zones 0–2 safe, to 5 acceptable, 8 and more stop: thomee-1997 (from memory); the
 * rest common practice.
 */
import { FAULTS } from '#lib/catalogue/faults.ts';
import { LOSES_POSITION, whenPositionLost } from './lost-position.ts';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { histories, mornings, record, session, TODAY } from '../../../../tests/records.ts';
import { judge } from './judge.ts';
import { hurtsText } from '#lib/wording/on-the-spot.ts';
import { whenItHurts, whenTooEasy } from './on-the-spot.ts';

const calm = record({ mornings: mornings('2026-03-01', 20, 2) });
const ORDER = ['go-on', 'gentler', 'stop'] as const;

describe('that hurts', () => {
	it.each([
		[0, 'go-on'],
		[5, 'go-on'],
		[6, 'gentler'],
		[7, 'gentler'],
		[8, 'stop'],
		[10, 'stop']
	] as const)('%s of 10 in the knee under the pain-monitored policy: %s', (pain, answer) => {
		expect(whenItHurts(calm, { pain }).answer).toBe(answer);
	});
	it('an exercise that any pain ends is left at once, whatever the policy accepts; without pain it goes on', () => {
		const left = { ...calm, exercise: { ...calm.exercise, endsAbove: 0 } };
		expect(whenItHurts(left, { pain: 0 }).answer).toBe('go-on');
		expect(whenItHurts(left, { pain: 1 })).toMatchObject({ answer: 'stop', change: null, endsAbove: 0 });
		expect(hurtsText(whenItHurts(left, { pain: 1 }), 1, TODAY)).toContain('any pain ends');
		const two = { ...calm, exercise: { ...calm.exercise, endsAbove: 2 } };
		expect([whenItHurts(two, { pain: 2 }).answer, whenItHurts(two, { pain: 3 }).answer]).toEqual([
			'go-on',
			'stop'
		]);
	});
	it('what is gentler is what the slip would propose for such a session, dial and all', () => {
		const { change, rule } = whenItHurts(calm, { pain: 6, painAt: 'late' });
		expect(rule).toBe('regress.pain');
		const slip = judge({
			...calm,
			sessions: [
				...calm.sessions,
				session(TODAY, {
					pains: [{ region: 'knee-right', peak: 6, after: 2 }],
					painAt: 'late',
					sinceChange: true
				})
			]
		});
		expect(change).toEqual(slip.change);
	});
	it('only with load, it is the load that is turned', () => {
		const loaded = record({
			...calm,
			exercise: {
				...calm.exercise,
				dose: { ...calm.exercise.dose, loadKg: 8 },
				rackKg: [4, 6, 8]
			}
		});
		expect(whenItHurts(loaded, { pain: 6, onlyLoaded: true }).change).toMatchObject({ dial: 'load', to: 6 });
	});
	it('in a flare more than acceptable ends it for today: no notch is solved for that', () => {
		const flare = record({
			mornings: [...mornings('2026-03-01', 18, 2), ...mornings('2026-03-19', 2, 5)]
		});
		expect(judge({ ...flare, sessions: [session('2026-03-18')] }).rule).toBe('hold.flare');
		expect(whenItHurts(flare, { pain: 6 }).answer).toBe('stop');
		expect(whenItHurts(flare, { pain: 3 }).answer).toBe('go-on');
	});
	it('on a day the client waits, any pain ends it: somebody looks first', () => {
		const unwell = record({
			...calm,
			client: {
				...calm.client,
				arrivals: [{ date: TODAY, clean: false, unwell: true, fell: false, closed: [] }]
			}
		});
		expect(judge(unwell).rule).toBe('wait.unwell');
		expect(whenItHurts(unwell, { pain: 1 }).answer).toBe('stop');
	});
	it('what a licensed user looks at first stops at more pain too, where the rules would go back a step', () => {
		const first = record();
		const reviewed = record({
			client: { ...first.client, usual: { ...first.client.usual, 'hip-left': { intake: 6 } } }
		});
		expect(judge(reviewed).rule).toBe('wait.review');
		const at = [2, 4, 6, 7].map((pain) => whenItHurts(reviewed, { pain }));
		expect(at.map((a) => a.answer)).toEqual(['stop', 'stop', 'stop', 'stop']);
		// The rules go back at 7; what waits for a licensed user is not set up by itself.
		expect(at[3]?.trace.decision).toBe('regress');
		expect(at[3]?.change).toBeNull();
	});
	it('more pain is never answered more boldly, whatever the history', () => {
		fc.assert(
			fc.property(histories, fc.integer({ min: 0, max: 9 }), (input, pain) => {
				const [less, more] = [pain, pain + 1].map((p) =>
					ORDER.indexOf(whenItHurts(input, { pain: p }).answer)
				);
				expect(more).toBeGreaterThanOrEqual(less!);
			})
		);
	});
	it('at the stop line it always stops', () => {
		fc.assert(
			fc.property(histories, (input) => {
				expect(whenItHurts(input, { pain: 10 }).answer).toBe('stop');
			})
		);
	});
});

describe('too easy', () => {
	it('names what an advance still needs, and gives nothing harder', () => {
		const { change, needs } = whenTooEasy(record({ ...calm, sessions: [session('2026-03-19')] }));
		expect(change).toBeNull();
		expect(needs.length).toBeGreaterThan(0);
		expect(needs.every((n) => !n.met)).toBe(true);
	});
	it('gives what the slip gives, never more', () => {
		fc.assert(
			fc.property(histories, (input) => {
				const slip = judge(input);
				const { change } = whenTooEasy(input);
				expect(change).toEqual(slip.decision === 'advance' ? slip.change : null);
			})
		);
	});
});

it('a position lost is set anew once; lost again in the same set, the set ends (common practice)', () => {
	expect([1, 2, 3].map(whenPositionLost)).toEqual(['anew', 'end-set', 'end-set']);
	expect(FAULTS.some((f) => f.id === LOSES_POSITION)).toBe(true);
});
