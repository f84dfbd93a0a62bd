/**
 * The rule table as facts of the trade: one case a rule, boundaries on the line, and worked examples. Sources beside the checks,
 * all from memory; where none is named it is the practice setting of the shipped policies.
 */
import { describe, expect, it } from 'vitest';
import { POLICIES } from '../../catalogue/policies.ts';
import {
	edge,
	KNEE,
	morning,
	mornings,
	record,
	session,
	TODAY,
	withSessions
} from '../../../../tests/records.ts';
import { addDays } from '../base/calendar-day.ts';
import { decide } from './decide.ts';
import type { DecideInput } from './input.ts';
import { judge } from './judge.ts';
import { morningKind, weeklyMedians } from './region.ts';
import { morningSeries } from './usual.ts';

const rule = (input: DecideInput): string => judge(input).rule;
const from = '2026-03-08';
const last = (pain: number) => [...mornings(from, 11, 2), morning('2026-03-19', pain)];

describe('the client comes first', () => {
	const { client } = record();
	it('chest pain ends the session and refers, whatever the scores', () => {
		for (const s of ['chest-pain', 'faintness', 'breathless'] as const)
			expect(
				judge(withSessions(session('2026-03-18', { symptoms: [s] }, { peak: 0, after: 0 })))
			).toMatchObject({ decision: 'refer', rule: 'refer.emergency', level: 'client' });
	});
	it('once cleared by a licensed user it no longer refers', () => {
		const input = withSessions(session('2026-03-16', { symptoms: ['chest-pain'] }));
		expect(rule({ ...input, client: { ...client, clearedOn: '2026-03-17' } })).not.toBe('refer.emergency');
	});
	it('numbness in a back client with saddle area unknown is an emergency: unknown is not no', () => {
		const back = (extra: object) => ({
			...withSessions(session('2026-03-18', { symptoms: ['numbness'], ...extra })),
			client: { ...client, usual: { [KNEE]: { intake: 2 }, back: { intake: 2 } } }
		});
		expect(rule(back({}))).toBe('refer.emergency');
		expect(rule(back({ caudaEquina: 'unknown' }))).toBe('refer.emergency');
		expect(rule(back({ caudaEquina: 'no' }))).toBe('stop.symptom');
	});
	it('an open red flag refers; a closed one does not', () => {
		const flags = (open: boolean) =>
			record({ client: { ...client, flags: [{ id: 'night-pain', severity: 'red', open }] } });
		expect(judge(flags(true))).toMatchObject({ decision: 'refer', rule: 'refer.red-flag' });
		expect(judge(flags(false)).decision).toBe('advance');
	});
	it('no screening, an incomplete one, or one 91 days old: wait; 90 days is good', () => {
		const { screening: _, ...unscreened } = client;
		expect(rule(record({ client: unscreened }))).toBe('wait.screen');
		expect(rule(record({ client: { ...client, screening: { date: TODAY, complete: false } } }))).toBe(
			'wait.screen'
		);
		expect(
			rule(record({ client: { ...client, screening: { date: addDays(TODAY, -91), complete: true } } }))
		).toBe('wait.screen');
		expect(
			rule(record({ client: { ...client, screening: { date: addDays(TODAY, -90), complete: true } } }))
		).toBe('advance');
	});
	it('surgery without its protocol limits waits', () => {
		expect(
			rule(
				record({
					client: { ...client, surgery: [{ region: KNEE, date: '2026-01-10', limitsEntered: false }] }
				})
			)
		).toBe('wait.protocol');
	});
	it('usual pain of 6 waits for a licensed review', () => {
		expect(rule(record({ mornings: mornings(from, 12, 6) }))).toBe('wait.review');
	});
	it('pain of 3 in a region nobody treats holds everything; 2 does not', () => {
		const at = (peak: number) =>
			withSessions(
				session('2026-03-16'),
				session('2026-03-18', {
					pains: [
						{ region: KNEE, before: 2, peak: 2, after: 2 },
						{ region: 'hip-right', peak }
					]
				})
			);
		expect(judge(at(3))).toMatchObject({ decision: 'hold', rule: 'hold.new-region', level: 'region' });
		expect(rule(at(2))).toBe('advance');
	});
	it('but pain in a new region never softens a stop', () => {
		const s = session('2026-03-18', {
			pains: [
				{ region: KNEE, peak: 9, after: 2 },
				{ region: 'hip-right', peak: 4 }
			]
		});
		expect(judge(withSessions(s))).toMatchObject({ decision: 'stop', rule: 'stop.pain' });
	});
});

describe('the twenty exercise rules', () => {
	it('1 locking stops until cleared; radiating only when lower than usual or new', () => {
		expect(rule(withSessions(session('2026-03-18', { symptoms: ['locking'] })))).toBe('stop.symptom');
		expect(rule(withSessions(session('2026-03-18', { symptoms: ['radiating'] })))).toBe('stop.symptom');
		expect(
			rule(withSessions(session('2026-03-18', { symptoms: ['radiating'], radiatingLower: false })))
		).not.toBe('stop.symptom');
	});
	it('2 peak 8 stops, 7 does not', () => {
		expect(judge(withSessions(session('2026-03-18', {}, { peak: 8 })))).toMatchObject({
			rule: 'stop.pain',
			alternatives: [{ code: 'substitute', value: 'sit-to-stand' }]
		});
		expect(rule(withSessions(session('2026-03-18', {}, { peak: 7 })))).toBe('regress.pain');
	});
	it('3 two mornings running at usual + 2 are a flare: hold at the flare plan; one is not', () => {
		const flare = [...mornings(from, 10, 2), morning('2026-03-18', 4), morning('2026-03-19', 4)];
		expect(rule(record({ mornings: flare }))).toBe('hold.flare');
		expect(rule(record({ mornings: last(4) }))).toBe('regress.morning');
	});
	it('3 a flare ends after two mornings at usual + 1 or less', () => {
		const base = [...mornings('2026-03-01', 9, 2), morning('2026-03-10', 4), morning('2026-03-11', 5)];
		expect(
			rule(
				record({
					sessions: [session('2026-03-09')],
					mornings: [...base, morning('2026-03-12', 3)],
					today: '2026-03-12'
				})
			)
		).toBe('hold.flare');
		expect(
			rule(
				record({
					sessions: [session('2026-03-09')],
					mornings: [...base, morning('2026-03-12', 3), morning('2026-03-13', 3)],
					today: '2026-03-13'
				})
			)
		).not.toBe('hold.flare');
	});
	it('4 no session since the change waits', () => {
		expect(rule(record({ changes: [{ date: '2026-03-19', kind: 'advance' }] }))).toBe('wait.no-sessions');
	});
	it('4 except a late morning: unsettled after the change that did not know it', () => {
		expect(rule(record({ changes: [{ date: '2026-03-18', kind: 'advance' }], mornings: last(5) }))).toBe(
			'regress.morning'
		);
	});
	it('5 pain of 6 during or after is over the acceptable 5 (Thomeé 1997); 5 is not', () => {
		expect(rule(withSessions(session('2026-03-18', {}, { peak: 6 })))).toBe('regress.pain');
		expect(rule(withSessions(session('2026-03-18', {}, { peak: 5, after: 6 })))).toBe('regress.pain');
		expect(rule(withSessions(session('2026-03-18', {}, { peak: 5, after: 5 })))).not.toBe('regress.pain');
	});
	it('5 late pain raises the seat, early pain takes a way of its own', () => {
		const late = judge(withSessions(session('2026-03-18', { painAt: 'late' }, { peak: 6 })));
		expect(late.change).toMatchObject({
			kind: 'dial',
			dial: 'surface',
			from: 50,
			to: 53,
			result: { setup: { seatCm: 53 } }
		});
		const early = judge(withSessions(session('2026-03-18', { painAt: 'early' }, { peak: 6 })));
		expect(early.change).toMatchObject({ kind: 'dose', from: '2×10', to: '1×10' });
	});
	it('6 usual + 2 next morning regresses one set when this is the suspect', () => {
		expect(judge(record({ mornings: last(4) }))).toMatchObject({
			rule: 'regress.morning',
			change: { kind: 'dose', to: '1×10' }
		});
	});
	it('6 usual + 1 after two of three sessions regresses too', () => {
		const up = mornings(from, 12, 2).map((m) =>
			m.date === '2026-03-17' || m.date === '2026-03-19' ? { ...m, pain: 3 } : m
		);
		expect(rule(record({ mornings: up }))).toBe('regress.morning');
	});
	it('6 unusual activity explains a bad morning: hold, not regress', () => {
		expect(
			rule(record({ mornings: last(4), events: [{ date: '2026-03-18', kind: 'unusual-activity' }] }))
		).toBe('hold.region');
	});
	it('6 clearly more swelling is unsettled at any pain', () => {
		expect(
			rule(
				record({
					mornings: [...mornings(from, 11, 2), morning('2026-03-19', 1, { swelling: 'clearly-more' })]
				})
			)
		).toBe('regress.morning');
	});
	it('6 a second unsettled morning within 7 days proposes the region’s sets × 0.6', () => {
		const twice = mornings(from, 11, 2).map((m) => (m.date === '2026-03-15' ? { ...m, pain: 4 } : m));
		expect(judge(record({ mornings: [...twice, morning('2026-03-19', 4)] })).alternatives).toContainEqual({
			code: 'region-sets',
			value: 0.6
		});
	});
	it('7 weekly medians up in each of two weeks regress the suspect (Silbernagel 2007, rule 4)', () => {
		const rising = [
			...mornings('2026-02-27', 7, 0),
			...mornings('2026-03-06', 7, 1),
			...mornings('2026-03-13', 7, 2)
		];
		expect(rule(record({ mornings: rising }))).toBe('regress.trend');
	});
	it('8 leakage regresses and suggests a pelvic-health review', () => {
		expect(judge(withSessions(session('2026-03-18', { symptoms: ['leakage'] })))).toMatchObject({
			rule: 'regress.leakage',
			change: { kind: 'step', to: 'raised-seat' },
			alternatives: [{ code: 'pelvic-health-review' }, { code: 'technique', value: 'stacked' }]
		});
	});
	it('9 under 70 % of the work twice running, for own reasons', () => {
		const half = (because: 'tired' | 'time') => ({
			sets: [
				{ reps: 10, effort: 6, cleanReps: 10 },
				{ reps: 3, effort: 7, cleanReps: 3 }
			],
			incompleteBecause: because
		});
		expect(
			rule(withSessions(session('2026-03-16', half('tired')), session('2026-03-18', half('tired'))))
		).toBe('regress.incomplete');
		expect(rule(withSessions(session('2026-03-16', half('time')), session('2026-03-18', half('time'))))).toBe(
			'hold.building'
		);
	});
	it('10 the same fault in half the sets of the last two observed sessions regresses on its own dial', () => {
		const f = { faults: { 'heel-lifts': 0.5 } };
		expect(rule(withSessions(session('2026-03-16', f), session('2026-03-18', f)))).toBe('regress.fault');
		expect(
			rule(withSessions(session('2026-03-16', f), session('2026-03-18', { faults: { 'knee-drifts-in': 1 } })))
		).not.toBe('regress.fault');
	});
	it('11 confidence of 4 twice: smaller movement, same dose', () => {
		const t = judge(
			withSessions(session('2026-03-16', { confidence: 4 }), session('2026-03-18', { confidence: 3 }))
		);
		expect(t).toMatchObject({
			rule: 'regress.guarding',
			change: { dial: 'surface', result: { dose: { sets: 2, reps: 10 } } }
		});
	});
	it('12 without the next morning: wait, with the answer for each value; after 72 h hold', () => {
		const input = record({
			sessions: [session('2026-03-17'), session('2026-03-19')],
			mornings: mornings(from, 12, 2)
		});
		const t = decide(input);
		expect(t).toMatchObject({ decision: 'wait', rule: 'wait.morning' });
		expect(t.outlook.map((o) => o.decision).slice(0, 5)).toEqual([
			'advance',
			'advance',
			'advance',
			'hold',
			'regress'
		]);
		expect(judge({ ...input, today: '2026-03-23' })).toMatchObject({
			decision: 'hold',
			rule: 'wait.morning'
		});
	});
	it('13 knee was 3 this morning, above its usual 2: hold; it would advance at 2', () => {
		const t = decide(record({ mornings: last(3) }));
		expect(t).toMatchObject({ decision: 'hold', rule: 'hold.region' });
		expect(t.reasons[0]).toMatchObject({ value: 3, threshold: 2, day: '2026-03-19' });
		expect(t.nearestFlip).toMatchObject({ input: 'morning', from: 3, to: 2, decision: 'advance' });
	});
	it('13 unsettled, but another exercise was changed last: hold', () => {
		const others = [{ id: 'o', changedOn: '2026-03-18', peakMinusBefore: 0, demand: 0 }];
		const input = record({
			mornings: last(4),
			others,
			sessions: [session('2026-03-12'), session('2026-03-14'), session('2026-03-16'), session('2026-03-18')]
		});
		expect(rule(input)).toBe('hold.region');
	});
	it('14 soreness 7 holds, 6 does not', () => {
		expect(rule(withSessions(session('2026-03-16'), session('2026-03-18', { soreness: 7 })))).toBe(
			'hold.soreness'
		);
		expect(rule(withSessions(session('2026-03-16'), session('2026-03-18', { soreness: 6 })))).toBe('advance');
	});
	it('15 pace: no third advance in a review, and three days between', () => {
		expect(rule(record({ advancesUsed: 2 }))).toBe('hold.pace');
		const recent = record({
			changes: [
				{ date: '2026-03-01', kind: 'start' },
				{ date: '2026-03-15', kind: 'advance' }
			],
			today: '2026-03-20'
		});
		expect(rule(recent)).toBe('advance');
		expect(rule({ ...recent, policy: { ...recent.policy, minDaysBetweenAdvances: 6 } })).toBe('hold.pace');
	});
	it('16 two complete, easy, safe, settled, clean, confident sessions advance one notch of dose', () => {
		expect(judge(record())).toMatchObject({
			decision: 'advance',
			change: { kind: 'dose', from: '2×10', to: '3×10' }
		});
	});
	it('16 a complete dose goes up the ladder by one dial, with its solved set-up', () => {
		const input = record({
			exercise: { ...record().exercise, dose: { ...record().exercise.dose, sets: 3 } },
			nextSteps: [edge({ verdict: 'set-up', setup: { thighDeg: 48 } })]
		});
		expect(judge(input).change).toMatchObject({
			kind: 'step',
			to: 'counter-squat',
			result: { setup: { thighDeg: 48 }, dose: { sets: 1, reps: 5 } }
		});
	});
	const complete = { ...record().exercise, dose: { ...record().exercise.dose, sets: 3 } };
	it('17 only a stale measurement stands in the way: wait and measure', () => {
		expect(
			rule(
				record({ exercise: complete, nextSteps: [edge({ verdict: 'unmeasured', measure: ['kneeFlexion'] })] })
			)
		).toBe('wait.measure');
	});
	it('18 a gate stands in the way: hold and name it', () => {
		expect(
			rule(
				record({ exercise: complete, nextSteps: [edge({ gateOpen: false, gate: '8 clean from the seat' })] })
			)
		).toBe('hold.gate');
		expect(rule(record({ exercise: complete, nextSteps: [edge({ verdict: 'blocked' })] }))).toBe('hold.gate');
	});
	it('19 the ladder is done', () => {
		expect(rule(record({ exercise: complete, nextSteps: [] }))).toBe('hold.complete');
	});
	it('20 otherwise hold, naming the condition not met yet', () => {
		const t = judge(withSessions(session('2026-03-18')));
		expect(t).toMatchObject({
			rule: 'hold.building',
			reasons: [{ code: 'streak.days', value: 1, threshold: 2 }]
		});
	});
});

describe('missing is never good', () => {
	const without: [string, Partial<Parameters<typeof session>[1] & object>, object?][] = [
		[
			'effort',
			{
				sets: [
					{ reps: 10, cleanReps: 10 },
					{ reps: 10, effort: 5, cleanReps: 10 }
				]
			}
		],
		[
			'clean repetitions',
			{
				sets: [
					{ reps: 10, effort: 5 },
					{ reps: 10, effort: 5, cleanReps: 10 }
				]
			}
		],
		['pain after', { pains: [{ region: KNEE, peak: 2 }] }],
		['pain', { pains: [] }]
	];
	for (const [name, patch] of without)
		it(`no ${name}, no advance`, () => {
			expect(rule(withSessions(session('2026-03-16'), session('2026-03-18', patch)))).toBe('hold.building');
		});
	for (const key of ['confidence', 'soreness', 'symptoms'] as const)
		it(`no ${key}, no advance`, () => {
			const { [key]: _, ...s } = session('2026-03-18');
			expect(rule(withSessions(session('2026-03-16'), s))).toBe('hold.building');
		});
	it('swelling not asked is not settled', () => {
		const { swelling: _, ...m } = morning('2026-03-19', 2);
		expect(rule(record({ mornings: [...mornings(from, 11, 2), m] }))).toBe('hold.building');
	});
	it('unseen sessions only: form is not known, one must be observed', () => {
		expect(
			rule(
				withSessions(session('2026-03-16', { observed: false }), session('2026-03-18', { observed: false }))
			)
		).toBe('hold.building');
	});
	it('no usual and no intake: the strictest usual, 0, and provisional', () => {
		const t = judge(
			record({
				client: { ...record().client, usual: {} },
				mornings: [morning('2026-03-17', 1), morning('2026-03-19', 1)]
			})
		);
		expect(t).toMatchObject({ usual: 0, provisional: true });
		expect(t.decision).not.toBe('advance');
	});
});

describe('usual pain', () => {
	const usualOn = (values: readonly number[], day = '2026-03-18') =>
		morningSeries(
			values.map((v, i) => morning(addDays('2026-03-17', -i), v)),
			KNEE,
			3,
			'back-to-usual',
			TODAY
		).usualOn(Math.round(Date.parse(`${day}T00:00:00Z`) / 86_400_000));
	it('is the median of the last seven mornings, .5 rounding up', () => {
		expect(usualOn([2, 2, 3, 3, 2, 3])).toEqual({ value: 3, provisional: false });
		expect(usualOn([2, 2, 3, 2, 2])).toEqual({ value: 2, provisional: false });
	});
	it('rests on the intake with fewer than five, and says so', () => {
		expect(usualOn([1, 1, 1, 1])).toEqual({ value: 3, provisional: true });
	});
});

describe('worked examples', () => {
	it('pain-monitoring week, usual 2 (Silbernagel 2007 against Ageberg 2010): 4-3-2 hold · 5-4-4 unsettled · 6-5-3 regress · 2-2-2 may advance', () => {
		const week = (
			date: string,
			peak: number,
			after: number,
			next: number,
			policy = POLICIES['pain-monitored'] as DecideInput['policy']
		) =>
			judge(
				record({
					policy,
					sessions: [session(addDays(date, -2)), session(date, {}, { peak, after })],
					mornings: [...mornings(addDays(date, -10), 11, 2), morning(addDays(date, 1), next)],
					changes: [{ date: addDays(date, -6), kind: 'start' }],
					today: addDays(date, 1)
				})
			);
		expect(week('2026-03-09', 4, 3, 2).decision).toBe('hold');
		expect(week('2026-03-11', 5, 4, 4)).toMatchObject({ decision: 'regress', rule: 'regress.morning' });
		expect(
			week('2026-03-11', 5, 4, 4, { ...POLICIES['pain-monitored'], morningRule: 'up-to-five' }).decision
		).toBe('hold');
		expect(week('2026-03-13', 6, 5, 3)).toMatchObject({ decision: 'regress', rule: 'regress.pain' });
		expect(week('2026-03-15', 2, 2, 2).decision).toBe('advance');
		const { sessions } = record();
		expect(judge(record({ sessions, mornings: mornings(from, 11, 2), today: '2026-03-19' })).decision).toBe(
			'wait'
		);
	});
	it('week statistic is the median: 2,2,3,2,4,2,2 → 2 and 2,3,3,3,4,3,3 → 3', () => {
		const values = [2, 2, 3, 2, 4, 2, 2, 2, 3, 3, 3, 4, 3, 3];
		const series = morningSeries(
			values.map((v, i) => morning(addDays('2026-03-07', i), v)),
			KNEE,
			2,
			'back-to-usual',
			TODAY
		);
		const end = Math.round(Date.parse('2026-03-20T00:00:00Z') / 86_400_000);
		expect(weeklyMedians(series, end).slice(0, 2)).toEqual([3, 2]);
	});
	it('tendon: load pain of 3 is safe, 4 regresses (Malliaras 2015); without the provocation test it waits', () => {
		const tendon = (peak: number) => ({
			...withSessions(session('2026-03-16'), session('2026-03-18', {}, { peak })),
			policy: POLICIES.tendon
		});
		expect(rule(tendon(3))).toBe('advance');
		expect(rule(tendon(4))).toBe('regress.pain');
		const untested = mornings(from, 12, 2).map(({ provocation: _, ...m }) => m);
		expect(rule({ ...tendon(2), mornings: untested })).toBe('wait.morning');
	});
	it('Silbernagel’s morning line: 5 passes, 5.5 does not', () => {
		const policy = { ...POLICIES['pain-monitored'], morningRule: 'up-to-five' as const };
		const at = (v: number) => {
			const s = morningSeries([morning('2026-03-19', v)], KNEE, 2, 'up-to-five', TODAY);
			return morningKind(s, s.days[0] as number, 2, policy);
		};
		expect(at(5)).toBe('settled');
		expect(at(5.5)).toBe('unsettled');
	});
	it('long-standing pain of 4, confirmed: peak 4 is safe; not confirmed it is not', () => {
		const at = (longStanding: boolean) =>
			record({
				client: { ...record().client, usual: { [KNEE]: { intake: 4, longStanding } } },
				sessions: [
					session('2026-03-16', {}, { peak: 4, after: 4 }),
					session('2026-03-18', {}, { peak: 4, after: 4 })
				],
				mornings: mornings(from, 12, 4)
			});
		expect(rule(at(true))).toBe('advance');
		expect(rule(at(false))).toBe('hold.building');
	});
	it('two regressions in 21 days without an advance: the third sets aside and names the purpose', () => {
		const changes = [
			{ date: '2026-03-01', kind: 'start' as const },
			{ date: '2026-03-08', kind: 'regress' as const },
			{ date: '2026-03-13', kind: 'regress' as const }
		];
		const t = judge(record({ changes, mornings: last(4) }));
		expect(t.change).toMatchObject({ kind: 'set-aside', to: 'sit-to-stand' });
	});
	it('after a regression the step left may be retried at 60 % of its dose', () => {
		const dose = {
			school: 'sets-first' as const,
			sets: 2,
			reps: 10,
			loadKg: 0,
			target: { sets: 3, reps: 10 }
		};
		const changes = [{ date: '2026-03-10', kind: 'regress' as const, from: { step: 'counter-squat', dose } }];
		expect(judge(record({ changes })).change).toMatchObject({
			kind: 'retry',
			to: 'counter-squat',
			result: { dose: { sets: 1, reps: 10 } }
		});
	});
	it('an injection in the last 14 days or a painkiller in the last two: no advance', () => {
		expect(rule(record({ events: [{ date: '2026-03-07', kind: 'injection' }] }))).toBe('hold.building');
		expect(rule(record({ events: [{ date: '2026-03-06', kind: 'injection' }] }))).toBe('advance');
		expect(rule(record({ events: [{ date: '2026-03-19', kind: 'painkiller' }] }))).toBe('hold.building');
	});
});
