/** Both sides of each boundary a decision turns on. Values: practice settings and the policy's own lines; sources stand beside the rules. */
import { describe, expect, it } from 'vitest';
import { edge, KNEE, morning, mornings, record, session, TODAY } from '../../../../tests/records.ts';
import { addDays } from '../base/calendar-day.ts';
import { stepFit } from '../../../../tests/limits-at.ts';
import type { DecideInput } from './input.ts';
import { judge } from './judge.ts';
import { morningSeries } from './usual.ts';

const before = (days: number) => addDays(TODAY, -days);
const exercise = (patch: Partial<DecideInput['exercise']>): DecideInput => {
	const r = record();
	return { ...r, exercise: { ...r.exercise, ...patch } };
};
/** The last session so many days ago, and the one before two days earlier, mornings in. */
const lastDaysAgo = (n: number, patch: Partial<DecideInput> = {}): DecideInput =>
	record({
		changes: [{ date: before(n + 5), kind: 'start' }],
		sessions: [session(before(n + 2)), session(before(n))],
		mornings: mornings(before(n + 8), n + 9, 2),
		...patch
	});
const rule = (i: DecideInput) => judge(i).rule;
const unmet = (i: DecideInput, code: string) =>
	judge(i)
		.considered.find((c) => c.rule === 'advance')
		?.why.some((w) => w.code === code && !w.met) === true;

describe('days', () => {
	it('away: thirteen days are not, fourteen are; twenty-eight is a step back', () => {
		expect(rule(lastDaysAgo(13))).not.toBe('regress.away');
		expect(rule(lastDaysAgo(14))).toBe('regress.away');
		const kinds = [27, 28].map((n) => judge(lastDaysAgo(n)).alternatives.map((a) => a.code));
		expect(kinds).toEqual([[], ['retest']]);
	});
	it('a morning that is missing waits three days, and holds after', () => {
		const at = (n: number) => judge(lastDaysAgo(n, { mornings: mornings(before(n + 8), 8, 2) })).decision;
		expect([at(3), at(4)]).toEqual(['wait', 'hold']);
	});
	it('a streak may lie as far back as the policy says, and no day more', () => {
		const { streakDays } = record().policy;
		const span = (n: number) =>
			unmet(
				record({
					changes: [{ date: before(n + 2), kind: 'start' }],
					sessions: [session(before(n)), session(before(1))],
					mornings: mornings(before(n + 4), n + 5, 2)
				}),
				'streak.recent'
			);
		expect([span(streakDays), span(streakDays + 1)]).toEqual([false, true]);
	});
	it('a range is good on its last day, and too old on the next', () => {
		expect([stepFit(28), stepFit(29)]).toEqual(['fits', 'unmeasured']);
	});
});

describe('sessions that do not count', () => {
	it('against advice breaks the streak; a lighter day is no part of it, for or against', () => {
		const [first, second] = record().sessions;
		if (first === undefined || second === undefined) throw new Error('two sessions');
		expect(rule(record())).toBe('advance');
		expect(unmet(record({ sessions: [first, { ...second, againstAdvice: true }] }), 'as-advised')).toBe(true);
		const lighter = session('2026-03-19', { lighter: true, observed: false, soreness: 2 }, { peak: 2 });
		expect(
			rule(
				record({
					sessions: [first, second, { ...lighter, sets: [{ reps: 5 }] }],
					mornings: [...mornings('2026-03-08', 13, 2)]
				})
			)
		).toBe('advance');
	});
});

describe('symptoms', () => {
	const told = (patch: Parameters<typeof session>[1]) =>
		record({ sessions: [session('2026-03-16'), session('2026-03-18', patch)] });
	it('locking that is as usual holds; the same that is new stops', () => {
		expect(judge(told({ symptoms: ['locking'], asUsual: ['locking'] })).decision).toBe('hold');
		expect(rule(told({ symptoms: ['locking'] }))).toBe('stop.symptom');
	});
	it('relief goes on when its region is stopped; loaded work does not', () => {
		const others = [
			{ changedOn: '2026-03-01', peakMinusBefore: 0, demand: 0, region: KNEE, symptomStop: true }
		] as unknown as DecideInput['others'];
		expect(rule({ ...exercise({}), others })).toBe('stop.region');
		expect(rule({ ...exercise({ relief: true }), others })).not.toBe('stop.region');
	});
});

describe('where an advance leads', () => {
	const complete = {
		school: 'sets-first',
		sets: 3,
		reps: 10,
		loadKg: 4,
		target: { sets: 3, reps: 10 }
	} as const;
	it('what is capped goes no heavier; as heavy is allowed', () => {
		const to = (loadKg: number) =>
			judge({ ...exercise({ dose: complete, capped: true }), nextSteps: [edge({ loadKg })] }).change?.to;
		expect([to(4), to(5)]).toEqual(['counter-squat', undefined]);
	});
	it('what was left is tried again only where it is known to fit', () => {
		const left = { step: 'counter-squat', dose: complete };
		const changes: DecideInput['changes'] = [
			{ date: '2026-03-01', kind: 'start' },
			{ date: '2026-03-10', kind: 'regress', from: left }
		];
		const kind = (retry: boolean | undefined) => {
			const standing = {
				verdict: 'stands' as const,
				breaks: [],
				mend: null,
				...(retry === undefined ? {} : { retry })
			};
			return judge({ ...exercise({ standing }), changes }).change?.kind;
		};
		expect([kind(true), kind(false), kind(undefined)]).toEqual(['retry', 'dose', 'dose']);
	});
	it('the morning of today is the one that counts', () => {
		const up = [...mornings('2026-03-08', 12, 2), morning(TODAY, 3)];
		expect(rule(record({ mornings: up }))).not.toBe('advance');
	});
});

describe('a flare of a region that is usually calm', () => {
	it.each([
		[2, 2, true],
		[2, 1, false],
		[1, 2, false],
		[1, 1, false]
	])('usual 0, two mornings of %s and %s: a flare %s', (first, second, is) => {
		const series = morningSeries(
			[
				...mornings('2026-03-01', 18, 0),
				...mornings('2026-03-19', 1, first),
				...mornings('2026-03-20', 1, second)
			],
			KNEE,
			0,
			'back-to-usual',
			'2026-03-20'
		);
		expect(series.flares.some((f) => f.open)).toBe(is);
	});
});
