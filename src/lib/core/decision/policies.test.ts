/**
 * The four policies on their lines: every integer of pain, every morning, for each policy, against the table they were shipped
 * from. Sources, from memory: Thomeé 1997 (zones), Ageberg 2010 (next day), Malliaras 2015 (tendon 3), Fordyce (quota); the rest is
 * practice setting.
 */
import { describe, expect, it } from 'vitest';
import { POLICIES, type PolicyId } from '../../catalogue/policies.ts';
import { KNEE, morning, mornings, record, session } from '../../../../tests/records.ts';
import { addDays } from '../base/calendar-day.ts';
import type { DecideInput } from './input.ts';
import { judge } from './judge.ts';
import { policyFaults } from './policy.ts';

const FROM = '2026-03-08';

/** Two sessions with the same peak, mornings at usual; usual 1 so that the pain-free policy applies too. */
function peaked(policy: PolicyId, peak: number, usual = 1): DecideInput {
	return record({
		policy: POLICIES[policy],
		client: { ...record().client, usual: { [KNEE]: { intake: usual } } },
		sessions: [
			session('2026-03-16', {}, { before: 1, peak, after: Math.min(peak, 1) }),
			session('2026-03-18', {}, { before: 1, peak, after: Math.min(peak, 1) })
		],
		mornings: mornings(FROM, 12, usual)
	});
}

const TABLE: Readonly<Record<PolicyId, readonly string[]>> = {
	//            0         1          2                 3                 4                 5                 6               7               8            9            10
	'pain-free': [
		'advance',
		'advance',
		'hold.building',
		'regress.pain',
		'regress.pain',
		'stop.pain',
		'stop.pain',
		'stop.pain',
		'stop.pain',
		'stop.pain',
		'stop.pain'
	],
	'pain-monitored': [
		'advance',
		'advance',
		'advance',
		'hold.building',
		'hold.building',
		'hold.building',
		'regress.pain',
		'regress.pain',
		'stop.pain',
		'stop.pain',
		'stop.pain'
	],
	tendon: [
		'advance',
		'advance',
		'advance',
		'advance',
		'regress.pain',
		'regress.pain',
		'regress.pain',
		'regress.pain',
		'stop.pain',
		'stop.pain',
		'stop.pain'
	],
	quota: [
		'advance',
		'advance',
		'advance',
		'advance',
		'advance',
		'advance',
		'hold.building',
		'hold.building',
		'stop.pain',
		'stop.pain',
		'stop.pain'
	]
};

describe('peak pain 0 to 10', () => {
	for (const [policy, rules] of Object.entries(TABLE) as [PolicyId, readonly string[]][])
		it(`${policy}: ${rules.join(' ')}`, () => {
			expect(Array.from({ length: 11 }, (_, peak) => judge(peaked(policy, peak)).rule)).toEqual([...rules]);
		});
});

describe('next morning above a usual of 2', () => {
	const after = (policy: PolicyId, rise: number): string =>
		judge(
			record({
				policy: POLICIES[policy],
				client: { ...record().client, usual: { [KNEE]: { intake: 2 } } },
				sessions: [
					session('2026-03-16', {}, { peak: 1, after: 1 }),
					session('2026-03-18', {}, { peak: 1, after: 1 })
				],
				mornings: [...mornings(FROM, 11, 2), morning('2026-03-19', 2 + rise)]
			})
		).rule;
	it('+1 holds, +2 regresses for pain-monitored and tendon', () => {
		for (const p of ['pain-monitored', 'tendon'] as const)
			expect(
				[0, 1, 2, 3].map((r) => after(p, r)),
				p
			).toEqual(['advance', 'hold.region', 'regress.morning', 'regress.morning']);
	});
	it('+1 is settled, +2 holds, +3 regresses for quota', () => {
		expect([0, 1, 2, 3].map((r) => after('quota', r))).toEqual([
			'advance',
			'advance',
			'hold.region',
			'regress.morning'
		]);
	});
});

describe('ease, form and confidence', () => {
	const both = (patch: Parameters<typeof session>[1]) => [
		session('2026-03-16', patch, { peak: 1, after: 1 }),
		session('2026-03-18', patch, { peak: 1, after: 1 })
	];
	const rule = (policy: PolicyId, patch: Parameters<typeof session>[1]): string =>
		judge(record({ policy: POLICIES[policy], sessions: both(patch) })).rule;
	const effort = (e: number) => ({
		sets: [
			{ reps: 10, effort: e, cleanReps: 10 },
			{ reps: 10, effort: e, cleanReps: 10 }
		]
	});
	const clean = (n: number) => ({
		sets: [
			{ reps: 10, effort: 5, cleanReps: n },
			{ reps: 10, effort: 5, cleanReps: n }
		]
	});
	it('effort 7 is easy for pain-monitored, 8 for tendon, anything for quota', () => {
		expect([7, 8].map((e) => rule('pain-monitored', effort(e)))).toEqual(['advance', 'hold.building']);
		expect([8, 9].map((e) => rule('tendon', effort(e)))).toEqual(['advance', 'hold.building']);
		expect(rule('quota', effort(10))).toBe('advance');
	});
	it('80 % clean advances, 79 % does not; quota only records it', () => {
		expect(rule('pain-monitored', clean(8))).toBe('advance');
		expect(
			rule('pain-monitored', {
				sets: [{ reps: 100, effort: 5, cleanReps: 79 }],
				prescribed: { sets: 1, reps: 100, loadKg: 0 }
			})
		).toBe('hold.building');
		expect(rule('quota', clean(2))).toBe('advance');
	});
	it('confidence 5 advances; 4 twice is guarding; quota records it only', () => {
		expect(rule('pain-monitored', { confidence: 5 })).toBe('advance');
		expect(rule('pain-monitored', { confidence: 4 })).toBe('regress.guarding');
		expect(rule('quota', { confidence: 1 })).toBe('advance');
	});
	it('tendon and pain-free advance once a review, the others twice', () => {
		for (const [p, n] of [
			['pain-free', 1],
			['pain-monitored', 2],
			['tendon', 1],
			['quota', 2]
		] as const) {
			const at = (used: number): string => judge({ ...peaked(p, 0), advancesUsed: used }).rule;
			expect([at(n - 1), at(n)], p).toEqual(['advance', 'hold.pace']);
		}
	});
	it('the streak must be inside 21 days, and does not span 14 days away', () => {
		const at = (streak: number, ...ago: number[]): string =>
			judge(
				record({
					policy: { ...POLICIES['pain-monitored'], streak },
					changes: [{ date: '2026-02-01', kind: 'start' }],
					sessions: ago.map((n) => session(addDays('2026-03-20', -n))),
					mornings: mornings('2026-02-15', 33, 2)
				})
			).rule;
		expect([at(3, 21, 12, 2), at(3, 22, 12, 2)]).toEqual(['advance', 'hold.building']);
		expect([at(2, 15, 2), at(2, 16, 2)]).toEqual(['advance', 'hold.building']);
	});
	it('one morning given from memory is taken into an advance, two are not (practice setting)', () => {
		const told = (...days: string[]) =>
			judge(
				record({
					mornings: record().mornings.map((m) => (days.includes(m.date) ? { ...m, recalled: true } : m))
				})
			).decision;
		expect([told(), told('2026-03-19'), told('2026-03-17', '2026-03-19')]).toEqual([
			'advance',
			'advance',
			'hold'
		]);
	});
	it('after 14 days away a set and a fifth of the load fewer, after 28 a step back, after 56 screened again (practice setting)', () => {
		const back = (ago: number) =>
			judge(
				record({
					changes: [{ date: '2026-01-01', kind: 'start' }],
					sessions: [session(addDays('2026-03-20', -ago - 2)), session(addDays('2026-03-20', -ago))],
					mornings: mornings('2026-01-01', 79, 2),
					client: { ...record().client, screening: { date: '2026-01-20', complete: true } }
				})
			);
		expect(back(13).rule).toBe('advance');
		expect(back(14)).toMatchObject({
			rule: 'regress.away',
			change: { result: { dose: { sets: 1, reps: 10 } } }
		});
		expect(back(28)).toMatchObject({
			rule: 'regress.away',
			change: { kind: 'step', to: 'raised-seat' },
			alternatives: [{ code: 'retest' }]
		});
		expect(back(55).rule).toBe('regress.away');
		expect(back(56)).toMatchObject({ rule: 'wait.screen', reasons: [{ code: 'away.long', value: 56 }] });
	});
});

describe('a policy that was changed', () => {
	it('must hold together, and is obeyed', () => {
		const strict = { ...POLICIES['pain-monitored'], safeMax: 0 };
		expect(policyFaults(strict)).toEqual([]);
		expect(judge({ ...peaked('pain-monitored', 1), policy: strict }).rule).toBe('hold.building');
		expect(policyFaults({ ...strict, safeMax: 6 })).toEqual(['safeMax 6 is above acceptableMax 5']);
		expect(policyFaults({ ...strict, morningHold: 3 })).toEqual(['morningHold 3 is above morningRegress 2']);
	});
});
