/** Builders of made-up records for decision tests: a good knee client by default, each test changes what it is about. */
import fc from 'fast-check';
import { POLICIES, POLICY_IDS } from '#lib/catalogue/policies.ts';
import { addDays, type Day } from '#lib/core/base/calendar-day.ts';
import type { DecideInput, NextStep } from '#lib/core/decision/input.ts';
import type { Policy } from '#lib/core/decision/policy.ts';
import type { Morning, Session } from '#lib/core/session/record.ts';
import { SYMPTOMS } from '#lib/core/session/record.ts';

export const KNEE = 'knee-right';
export const TODAY = '2026-03-20';

/** A clean, easy, safe session of 2×10. */
export function session(
	date: Day,
	patch: Partial<Session> = {},
	pain: Partial<Session['pains'][number]> = {}
): Session {
	return {
		date,
		observed: true,
		prescribed: { sets: 2, reps: 10, loadKg: 0 },
		sets: [
			{ reps: 10, effort: 5, cleanReps: 10 },
			{ reps: 10, effort: 6, cleanReps: 10 }
		],
		pains: [{ region: KNEE, before: 2, peak: 2, after: 2, ...pain }],
		faults: {},
		symptoms: [],
		soreness: 2,
		confidence: 8,
		...patch
	};
}

export const morning = (date: Day, pain: number, patch: Partial<Morning> = {}): Morning => ({
	date,
	region: KNEE,
	pain,
	swelling: 'none',
	provocation: pain,
	...patch
});

/** Mornings of the same pain from one day to another. */
export function mornings(from: Day, days: number, pain: number): Morning[] {
	return Array.from({ length: days }, (_, i) => morning(addDays(from, i), pain));
}

export const edge = (patch: Partial<NextStep> = {}): NextStep => ({
	step: 'counter-squat',
	dial: 'surface',
	verdict: 'fits',
	gateOpen: true,
	start: { sets: 1, reps: 5 },
	target: { sets: 3, reps: 10 },
	...patch
});

/** Two good sessions since the start, mornings at the usual 2: would advance from 2×10 to 3×10. */
export function record(patch: Partial<DecideInput> = {}): DecideInput {
	return {
		policy: POLICIES['pain-monitored'],
		client: {
			screening: { date: '2026-03-01', complete: true },
			flags: [],
			surgery: [],
			usual: { [KNEE]: { intake: 2 } }
		},
		exercise: {
			id: 'e1',
			family: 'squat',
			step: 'standard-seat',
			region: KNEE,
			purpose: 'sit-to-stand',
			dose: { school: 'sets-first', sets: 2, reps: 10, loadKg: 0, target: { sets: 3, reps: 10 } },
			setup: { seatCm: 50 },
			state: 'active',
			standing: { verdict: 'stands', breaks: [], mend: null, retry: true },
			gentler: [
				{ dial: 'surface', to: 53, setup: { seatCm: 53 } },
				{ dial: 'surface', to: 'raised-seat', step: 'raised-seat', setup: { seatCm: 56 } }
			]
		},
		changes: [{ date: '2026-03-10', kind: 'start' }],
		sessions: [session('2026-03-16'), session('2026-03-18')],
		mornings: mornings('2026-03-08', 12, 2),
		others: [],
		nextSteps: [edge()],
		advancesUsed: 0,
		today: TODAY,
		...patch
	};
}

export const withSessions = (...sessions: Session[]): DecideInput => record({ sessions });

const score = fc.integer({ min: 0, max: 10 });
const maybe = <T>(a: fc.Arbitrary<T>): fc.Arbitrary<T | undefined> =>
	fc.option(a, { nil: undefined, freq: 6 });
const clean = <T extends object>(o: T): T =>
	Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as T;

const arbitrarySession = (date: Day): fc.Arbitrary<Session> =>
	fc
		.record({
			observed: fc.boolean(),
			sets: fc.array(
				fc
					.record({
						reps: fc.integer({ min: 4, max: 10 }),
						effort: maybe(score),
						cleanReps: maybe(fc.integer({ min: 0, max: 10 }))
					})
					.map(clean),
				{ minLength: 1, maxLength: 3 }
			),
			before: score,
			peak: maybe(fc.integer({ min: 0, max: 9 })),
			after: maybe(fc.integer({ min: 0, max: 7 })),
			evening: fc.option(fc.integer({ min: 0, max: 8 }), { nil: undefined, freq: 1 }),
			soreness: maybe(score),
			confidence: maybe(score),
			symptoms: fc.oneof(
				{ arbitrary: fc.constant([]), weight: 12 },
				{ arbitrary: fc.subarray([...SYMPTOMS], { maxLength: 1 }), weight: 1 }
			),
			fault: fc.option(fc.constantFrom('heel-lifts', 'knee-drifts-in'), { nil: undefined, freq: 3 }),
			elsewhere: fc.option(fc.integer({ min: 0, max: 6 }), { nil: undefined, freq: 2 })
		})
		.map(({ before, peak, after, evening, fault, elsewhere, soreness, confidence, ...s }) =>
			clean({
				...s,
				date,
				prescribed: { sets: 2, reps: 10, loadKg: 0 },
				pains: [
					clean({ region: KNEE, before, peak, after, evening }),
					...(elsewhere === undefined ? [] : [{ region: 'hip-left', peak: elsewhere, after: elsewhere }])
				],
				faults: fault === undefined ? {} : { [fault]: 0.5 },
				soreness,
				confidence
			} as Session)
		);

/** A random but plausible history of up to 12 weeks, of any policy that ships. */
export const histories: fc.Arbitrary<DecideInput> = fc
	.record({
		policy: fc.constantFrom<Policy>(...POLICY_IDS.map((id) => POLICIES[id])),
		gaps: fc.array(fc.integer({ min: 1, max: 6 }), { minLength: 0, maxLength: 12 }),
		base: fc.integer({ min: 0, max: 4 }),
		noise: fc.array(fc.option(fc.integer({ min: -1, max: 3 }), { nil: undefined, freq: 8 }), {
			minLength: 90,
			maxLength: 90
		}),
		swelling: fc.array(fc.constantFrom('none', 'none', 'none', 'none', 'a-little', 'clearly-more'), {
			minLength: 90,
			maxLength: 90
		}),
		changed: fc.integer({ min: 1, max: 40 }),
		advances: fc.integer({ min: 0, max: 2 }),
		longStanding: fc.boolean(),
		others: fc.array(
			fc.record({
				changedOn: fc.integer({ min: 1, max: 40 }),
				peakMinusBefore: fc.integer({ min: 0, max: 4 }),
				demand: fc.integer({ min: 0, max: 100 })
			}),
			{ maxLength: 2 }
		),
		edges: fc.array(
			fc.record({
				verdict: fc.constantFrom('fits', 'set-up', 'watch', 'blocked', 'unmeasured'),
				gateOpen: fc.boolean()
			}),
			{ maxLength: 2 }
		),
		complete: fc.boolean(),
		calm: fc.boolean()
	})
	.chain((r) => {
		const dates = r.gaps.map((_, i) => addDays(TODAY, -r.gaps.slice(i).reduce((a, b) => a + b, 0)));
		const calm = (d: Day): Session =>
			session(d, {}, { before: Math.min(1, r.base), peak: Math.min(1, r.base), after: Math.min(1, r.base) });
		return fc.tuple(
			fc.constant(r),
			fc.tuple(
				...dates.map((d) =>
					r.calm
						? fc.oneof(
								{ arbitrary: fc.constant(calm(d)), weight: 8 },
								{ arbitrary: arbitrarySession(d), weight: 1 }
							)
						: arbitrarySession(d)
				)
			)
		);
	})
	.map(([r, sessions]) =>
		record({
			policy: r.policy,
			client: {
				screening: { date: '2026-03-01', complete: true },
				flags: [],
				surgery: [],
				usual: { [KNEE]: { intake: r.base, longStanding: r.longStanding }, 'hip-left': { intake: 1 } }
			},
			exercise: {
				...record().exercise,
				dose: {
					school: 'sets-first',
					sets: r.complete ? 3 : 2,
					reps: 10,
					loadKg: 0,
					target: { sets: 3, reps: 10 }
				}
			},
			changes: [{ date: addDays(TODAY, -r.changed), kind: 'start' }],
			sessions,
			mornings: r.noise.flatMap((n, i) => {
				const noise = r.calm && n !== undefined && i % 9 !== 0 ? Math.min(0, n) : n;
				const v = noise === undefined ? undefined : Math.max(0, Math.min(10, r.base + noise));
				return v === undefined
					? []
					: [morning(addDays(TODAY, i - 89), v, { swelling: r.calm ? 'none' : (r.swelling[i] as 'none') })];
			}),
			others: r.others.map((o, i) => ({ id: `o${i}`, ...o, changedOn: addDays(TODAY, -o.changedOn) })),
			nextSteps: r.edges.map((e, i) =>
				edge({
					step: i === 0 ? 'counter-squat' : 'rise-and-press',
					...(e as { verdict: 'fits'; gateOpen: boolean })
				})
			),
			advancesUsed: r.advances
		})
	);
