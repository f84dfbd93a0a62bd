/**
 * What an evening means for the next decision: pain over the acceptable line once a session is over counts as pain over it at once (zones to 5, Thomeé 1997,
 * from memory), answered by the dose first (common practice).
 */
import { describe, expect, it } from 'vitest';
import { KNEE, record, session } from '../../../../tests/records.ts';
import type { Told } from '../session/told.ts';
import { puttingTold } from '../session/told.ts';
import { decide } from './decide.ts';
import type { DecideInput } from './input.ts';
import { judge } from './judge.ts';

const told = (pain: number | undefined, more: Partial<Told> = {}): readonly Told[] => [
	{
		...{ date: '2026-03-18', moment: 'evening', region: KNEE },
		...(pain === undefined ? {} : { pain }),
		...more
	}
];
const heard = (all: readonly Told[], input: DecideInput = record()): DecideInput => ({
	...input,
	sessions: input.sessions.map(puttingTold(all))
});

describe('an evening', () => {
	it('that stayed safe changes nothing: it advances as it would have', () => {
		expect(judge(record()).decision).toBe('advance');
		expect(judge(heard(told(2))).decision).toBe('advance');
	});
	it('over safe breaks the streak: 3 holds where 2 may', () => {
		expect(judge(heard(told(3))).decision).toBe('hold');
		const why = judge(heard(told(3))).reasons.find((r) => r.code === 'pain.safe');
		expect(why).toMatchObject({ met: false, value: 3, threshold: 2 });
	});
	it('over acceptable goes back, with the evening named; on the line it holds', () => {
		expect(judge(heard(told(5))).decision).toBe('hold');
		expect(judge(heard(told(6)))).toMatchObject({ decision: 'regress', rule: 'regress.pain' });
		expect(judge(heard(told(6))).reasons[0]).toMatchObject({ code: 'pain.evening', value: 6, threshold: 5 });
	});
	it('is answered by the dose first, as what only hurts next morning is', () =>
		expect(judge(heard(told(6))).change).toMatchObject({ kind: 'dose' }));
	it('no worse than the session itself is named as the session', () => {
		const hurt = record({
			sessions: [session('2026-03-16'), session('2026-03-18', {}, { peak: 7, after: 6 })]
		});
		expect(judge(heard(told(7), hurt)).reasons[0]?.code).toBe('pain.acceptable');
	});
	it('never stops: a stop line is of what hurt while it was done', () =>
		expect(judge(heard(told(10))).rule).toBe('regress.pain'));
	it('in a place not under treatment holds everything, as it would have at once', () =>
		expect(judge(heard(told(3, { region: 'hip-left' }))).rule).toBe('hold.new-region'));
	it('is a lever of the nearest flip', () =>
		expect(decide(heard(told(3))).nearestFlip).toMatchObject({ input: 'evening', from: 3, to: 2 }));
	it('muscles that are as sore as the policy lets nobody go on hold, told at once or next morning', () => {
		const sore = (n: number) =>
			heard(told(undefined, { date: '2026-03-19', moment: 'morning', soreness: n }));
		expect(judge(sore(6)).decision).toBe('advance');
		expect(judge(sore(7)).rule).toBe('hold.soreness');
	});
});
