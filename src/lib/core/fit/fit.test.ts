/** Fit: what a knee, an ankle and a chair allow. Facts of the trade, common practice unless a source is named. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAMILIES } from '../../catalogue/families.ts';
import { POLICIES } from '../../catalogue/policies.ts';
import { bodyOf, type Body } from '../body/body.ts';
import type { Envelope, Tolerated } from '../client/envelope.ts';
import { envelopeWith, withEvidence, type RangeEvidence } from '../client/envelope.ts';
import { fitRulesOf } from '../decision/policy.ts';
import type { ExerciseFamily, Step } from '../exercise/family.ts';
import { deepestSquatInBand, lowestSeatInBand } from '../posture/inverse-in-band.ts';
import { compareTechniques, wedgeOption } from './compare-techniques.ts';
import type { FitContext } from '../movement/context.ts';
import { fitFamily, fitStep, shortAt, type StepFit } from './fit.ts';
import { moreUprightDeg } from './more-upright.ts';
import { standOf, isSquatStep, type SquatStep } from '../movement/squat/stand.ts';
import { buildSeat } from '../movement/furniture.ts';
import { gateState } from './gate.ts';

const family = FAMILIES.squat as ExerciseFamily;
const TODAY = '2026-03-06';

function body(heightCm = 168, massKg = 70): Body {
	const b = bodyOf({ heightCm, massKg });
	if (!b.ok) throw new Error(b.refusal.message);
	return b.value;
}

const range = (deg: number, extra: Partial<Tolerated> = {}): Tolerated => ({
	painFree: deg,
	tolerable: deg,
	end: deg + 15,
	date: '2026-03-01',
	loaded: false,
	...extra
});
const both = (deg: number, extra?: Partial<Tolerated>) => ({
	left: range(deg, extra),
	right: range(deg, extra)
});
const envelope = (knee: number, hip = 125, ankle = 36): Envelope => ({
	kneeFlexion: both(knee),
	thighTrunkFlexion: both(hip),
	weightBearingDorsiflexion: both(ankle)
});
const context = (env: Envelope, extra: Partial<FitContext> = {}): FitContext => ({
	body: body(),
	rules: fitRulesOf(POLICIES['pain-monitored']),
	today: TODAY,
	envelope: env,
	...extra
});
const stepIn = (fits: readonly StepFit[], id: string): StepFit => {
	const f = fits.find((x) => x.step === id);
	if (f === undefined) throw new Error(id);
	return f;
};

describe('fit of the squat family', () => {
	it('a knee that bends 70° is never offered a seat that needs 90°', () => {
		for (const f of fitFamily(family, context(envelope(70)))) {
			if (f.verdict === 'fits' || f.verdict === 'watch')
				expect(f.demand.kneeFlexion).toBeLessThanOrEqual(65 + 1e-6);
			if (f.demandSetUp !== null) expect(f.demandSetUp.kneeFlexion).toBeLessThanOrEqual(65 + 1e-6);
		}
	});
	it('a healthy envelope fits every seat step as it stands', () => {
		const fits = fitFamily(family, context(envelope(140, 155, 45)));
		for (const id of ['raised-seat-hands', 'raised-seat', 'standard-seat'])
			expect(stepIn(fits, id).verdict).toBe('fits');
	});
	it('a knee short of a chair is set up with a higher seat, built from what there is', () => {
		const furniture = {
			seats: [42, 46],
			pads: [
				{ cm: 3, count: 3 },
				{ cm: 5, count: 1 }
			]
		};
		const chair = (knee: number) =>
			stepIn(fitFamily(family, context(envelope(knee, 135), { furniture })), 'standard-seat');
		// A shank more upright than usual still spares a knee of 98° on this chair; one of 88° needs it higher.
		expect(chair(98)).toMatchObject({ verdict: 'watch', setup: null });
		expect(chair(98).demand.kneeFlexion).toBeLessThanOrEqual(93 + 1e-6);
		const f = chair(88);
		expect(f.verdict).toBe('set-up');
		expect(f.setup?.build?.reaches).toBe(f.setup?.seatCm);
		expect(f.setup?.seatCm).toBeGreaterThan(46);
		expect(f.demandSetUp?.kneeFlexion).toBeLessThanOrEqual(83);
		expect(f.limiting[0]?.axis).toBe('kneeFlexion');
	});
	it('without a chair that reaches, the step is blocked and says by how much', () => {
		const f = stepIn(
			fitFamily(family, context(envelope(90, 135), { furniture: { seats: [42, 46], pads: [] } })),
			'standard-seat'
		);
		expect(f.verdict).toBe('blocked');
		expect(f.limiting[0]?.short).toBeGreaterThan(5);
		expect(f.unlock).toMatchObject({ axis: 'kneeFlexion' });
	});
	it('a missing or stale ankle makes a step unmeasured, and names the ankle', () => {
		const env: Envelope = {
			...envelope(140, 155),
			weightBearingDorsiflexion: { left: range(40), right: range(40, { date: '2026-01-01' }) }
		};
		const f = stepIn(fitFamily(family, context(env)), 'free-squat');
		expect(f.verdict).toBe('unmeasured');
		expect(f.unmeasured).toEqual([{ axis: 'weightBearingDorsiflexion', side: 'right', reason: 'stale' }]);
		expect(f.unlock).toEqual({ measure: ['weightBearingDorsiflexion'] });
	});
	it('seen doing it overrides the model, never a protocol limit', () => {
		const observed = [{ step: 'standard-seat', setup: { seatCm: 46 }, date: '2026-03-04' }];
		const seen = stepIn(fitFamily(family, context(envelope(95, 135), { observed })), 'standard-seat');
		expect(seen).toMatchObject({ verdict: 'fits', seen: '2026-03-04' });
		const protocolLimits = [{ axis: 'kneeFlexion', side: 'right', maxDeg: 80 } as const];
		const limited = stepIn(
			fitFamily(family, context(envelope(95, 135), { observed, protocolLimits })),
			'standard-seat'
		);
		expect(limited.verdict).not.toBe('fits');
		expect(limited.limiting[0]).toMatchObject({ side: 'right', by: 'protocol', limit: 80 });
	});
	it('the pain-free policy reads onset, the others what is tolerable', () => {
		const env: Envelope = { ...envelope(140, 155, 45), kneeFlexion: both(140, { painFree: 60 }) };
		const at = (p: 'pain-free' | 'pain-monitored') =>
			stepIn(fitFamily(family, context(env, { rules: fitRulesOf(POLICIES[p]) })), 'standard-seat').verdict;
		expect(at('pain-monitored')).toBe('fits');
		expect(at('pain-free')).not.toBe('fits');
	});
	it('loaded work takes the wider margin on an unloaded measurement', () => {
		const squatIn = (loaded: boolean) => {
			const knee = { ...envelope(140, 155, 48), kneeFlexion: both(100, { loaded }) };
			const goblet = family.steps.find((x) => x.id === 'goblet-squat');
			if (goblet === undefined) throw new Error('goblet');
			const l = shortAt(goblet, context(knee), { thighDeg: 75 }).find((x) => x.axis === 'kneeFlexion');
			return (l?.limit ?? NaN) - ((l?.demand ?? NaN) - (l?.short ?? NaN));
		};
		expect(squatIn(false)).toBeCloseTo(10, 9);
		expect(squatIn(true)).toBeCloseTo(5, 9);
	});
	it('swapping left and right swaps only labels', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 60, max: 140 }),
				fc.integer({ min: 60, max: 140 }),
				fc.integer({ min: 20, max: 42 }),
				(l, r, a) => {
					const env = (x: number, y: number): Envelope => ({
						...envelope(120, 140, a),
						kneeFlexion: { left: range(x), right: range(y) }
					});
					const [one, two] = [fitFamily(family, context(env(l, r))), fitFamily(family, context(env(r, l)))];
					expect(one.map((f) => [f.step, f.verdict, f.setup])).toEqual(
						two.map((f) => [f.step, f.verdict, f.setup])
					);
				}
			),
			{ seed: 7, numRuns: 60 }
		);
	});
	it('more range never closes a step, for any envelope', () => {
		const open = (f: StepFit): boolean =>
			f.verdict === 'fits' || f.verdict === 'watch' || f.verdict === 'set-up';
		fc.assert(
			fc.property(
				fc.integer({ min: 60, max: 130 }),
				fc.integer({ min: 90, max: 140 }),
				fc.integer({ min: 1, max: 15 }),
				(knee, hip, more) => {
					const [less, wider] = [knee, knee + more].map((k) => fitFamily(family, context(envelope(k, hip))));
					less?.forEach((f, i) => {
						if (open(f)) expect(open(wider?.[i] as StepFit), f.step).toBe(true);
					});
				}
			),
			{ seed: 11, numRuns: 80 }
		);
	});
	it('a stiff ankle still rises from a chair: shank more upright, more fold; an ankle that gains closes nothing and raises no seat', () => {
		// Common practice: feet flat under the knees and a longer lean take the place of feet drawn back.
		const chair = family.steps.find((s) => s.id === 'standard-seat') as Step;
		const free = { thighTrunkFlexion: 140, kneeFlexion: 138 };
		for (const height of [150, 165, 180, 195]) {
			const at = (ankle: number) =>
				fitStep(
					chair,
					context(envelope(free.kneeFlexion, free.thighTrunkFlexion, ankle), { body: body(height) })
				);
			expect(['fits', 'watch', 'set-up'], `${height} cm`).toContain(at(10).verdict);
			const [stiff, usual] = [at(15), at(40)];
			expect(stiff.demand.weightBearingDorsiflexion).toBeLessThan(
				usual.demand.weightBearingDorsiflexion ?? NaN
			);
			expect(stiff.demand.thighTrunkFlexion).toBeGreaterThan(usual.demand.thighTrunkFlexion ?? NaN);
		}
		const rank = (f: StepFit): number => ['blocked', 'set-up', 'watch', 'fits'].indexOf(f.verdict);
		fc.assert(
			fc.property(
				fc.integer({ min: 60, max: 130 }),
				fc.integer({ min: 90, max: 140 }),
				fc.integer({ min: 0, max: 30 }),
				fc.integer({ min: 1, max: 15 }),
				fc.integer({ min: 150, max: 195 }),
				(knee, hip, ankle, more, height) => {
					const [less, wider] = [ankle, ankle + more].map((a) =>
						fitFamily(family, context(envelope(knee, hip, a), { body: body(height) }))
					);
					less?.forEach((f, i) => {
						const w = wider?.[i] as StepFit;
						if (
							!isSquatStep(family.steps[i] as Step) ||
							(family.steps[i] as Step & { posture: { everyday?: boolean } }).posture.everyday !== true
						)
							return;
						expect(rank(w), f.step).toBeGreaterThanOrEqual(rank(f));
					});
					// The lowest seat itself: never higher with more ankle.
					const stand = standOf(
						chair as SquatStep,
						context(envelope(knee, hip, ankle), { body: body(height) })
					);
					const seat = (weightBearingDorsiflexionDeg: number): number =>
						lowestSeatInBand({
							...stand,
							limits: { kneeFlexionDeg: knee, thighTrunkFlexionDeg: hip, weightBearingDorsiflexionDeg }
						});
					const [stiff, free] = [seat(ankle), seat(ankle + more)];
					if (Number.isFinite(stiff)) expect(free).toBeLessThanOrEqual(stiff);
				}
			),
			{ seed: 17, numRuns: 120 }
		);
	});
	it('a set-up step stays inside every limit less its margin when solved again', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 65, max: 125 }),
				fc.integer({ min: 85, max: 140 }),
				fc.integer({ min: 18, max: 42 }),
				fc.integer({ min: 150, max: 195 }),
				(knee, hip, ankle, height) => {
					const ctx = context(envelope(knee, hip, ankle), { body: body(height) });
					for (const f of fitFamily(family, ctx)) {
						if (f.setup === null) continue;
						const step = family.steps.find((s) => s.id === f.step);
						if (step === undefined || !isSquatStep(step)) throw new Error(f.step);
						const margin = step.posture.load === undefined ? 5 : 10;
						const demand = f.demandSetUp;
						expect(demand?.kneeFlexion, f.step).toBeLessThanOrEqual(knee - margin + 0.01);
						expect(demand?.thighTrunkFlexion, f.step).toBeLessThanOrEqual(hip - margin + 0.01);
						expect(demand?.weightBearingDorsiflexion, f.step).toBeLessThanOrEqual(ankle - 5 + 0.01);
						// Solved another way: the hip's height above the ankle, the shank that was chosen, and what is left for the thigh.
						const stand = standOf(step, ctx);
						const { shankM, thighM, ankleHeightM, footM, heightM } = stand.body;
						const wedge = Math.asin((stand.heelWedgeCm ?? 0) / 70 / footM);
						const shank = ((demand?.weightBearingDorsiflexion ?? NaN) * Math.PI) / 180 + wedge;
						const ankleM = 0.45 * footM * Math.sin(wedge) + ankleHeightM * Math.cos(wedge);
						const seatCm = f.setup.seatCm;
						const thigh =
							seatCm === undefined
								? ((f.setup.thighDeg ?? NaN) * Math.PI) / 180
								: Math.acos(
										Math.min(1, (seatCm / 100 + 0.047 * heightM - ankleM - shankM * Math.cos(shank)) / thighM)
									);
						expect(((shank + thigh) * 180) / Math.PI, f.step).toBeCloseTo(demand?.kneeFlexion ?? NaN, 4);
					}
				}
			),
			{ seed: 13, numRuns: 80 }
		);
	});
});

describe('a set-up that somebody chose', () => {
	const ctx = context(envelope(140, 150, 27), {
		technique: 'parallel',
		furniture: { seats: [45], pads: [], wedges: [3, 4.5] }
	});
	const step = family.steps.find((s) => s.id === 'free-squat');
	if (step === undefined) throw new Error('step');
	it('is short where the ankle is, and inside on the wedge that was solved', () => {
		expect(shortAt(step, ctx, null)[0]).toMatchObject({ axis: 'weightBearingDorsiflexion' });
		const wedge = wedgeOption(step, ctx);
		expect(wedge?.neededCm).toBeGreaterThan(1);
		expect(wedge?.neededCm).toBeGreaterThan(wedge?.band.low ?? NaN);
		expect(wedge?.neededCm).toBeLessThan(wedge?.band.high ?? NaN);
		expect(shortAt(step, ctx, { thighDeg: 70, heelWedgeCm: wedge?.haveCm ?? 0 })).toEqual([]);
	});
	it('needs no wedge with a free ankle, and none is offered to a seat', () => {
		expect(wedgeOption(step, context(envelope(140, 150, 45)))).toBeNull();
		const seat = family.steps.find((s) => s.id === 'standard-seat');
		expect(seat === undefined ? null : wedgeOption(seat, ctx)).toBeNull();
	});
	it('techniques only move load: knee and hip add up to the same in each, and each says what stops it', () => {
		const rows = compareTechniques(step, ctx, { thighDeg: 60 });
		expect(rows.map((r) => r.technique)).toEqual(['sit-back', 'parallel', 'knee-forward', 'stacked']);
		const sums = rows.map((r) => (r.moments.knee as number) + (r.moments.hip as number));
		for (const sum of sums) expect(sum).toBeCloseTo(sums[0] ?? NaN, 6);
		for (const r of rows) if (r.reach !== null && r.reach < 130) expect(r.limiting.length).toBeGreaterThan(0);
	});
});

describe('building a seat from the room', () => {
	const furniture = { seats: [42, 46], pads: [{ cm: 3, count: 2 }] };
	it('takes the lowest build that is high enough, a chair alone before a little less height on a pad', () => {
		expect(buildSeat(51, furniture)).toEqual({ seat: 46, pads: [3, 3], reaches: 52, short: 0 });
		expect(buildSeat(44, furniture)).toEqual({ seat: 46, pads: [], reaches: 46, short: 0 });
		expect(buildSeat(43, { seats: [42, 49], pads: [{ cm: 3, count: 1 }] })).toEqual({
			seat: 42,
			pads: [3],
			reaches: 45,
			short: 0
		});
		expect(buildSeat(30, furniture)?.reaches).toBe(42);
	});
	it('says by how much the room falls short', () => {
		expect(buildSeat(60, furniture)).toMatchObject({ reaches: 52, short: 8 });
		expect(buildSeat(60, { seats: [], pads: [] })).toBeUndefined();
	});
});

describe('envelope from the log', () => {
	const base = range(90);
	const good = (date: string, extra: Partial<RangeEvidence> = {}): RangeEvidence => ({
		axis: 'kneeFlexion',
		side: 'right',
		date,
		demand: 104,
		band: 3,
		observed: true,
		settled: true,
		painful: false,
		like: 'seat',
		...extra
	});
	it('twice seen, settled and painless raises it to the low edge of the band less the margin', () => {
		expect(withEvidence(base, [good('2026-03-02'), good('2026-03-04')], 5)).toMatchObject({
			painFree: 96,
			from: 'observed'
		});
	});
	it('once is not enough, unseen is not enough, and never past the end', () => {
		expect(withEvidence(base, [good('2026-03-02')], 5)).toEqual(base);
		expect(withEvidence(base, [good('2026-03-02'), good('2026-03-04', { observed: false })], 5)).toEqual(
			base
		);
		expect(
			withEvidence(base, [good('2026-03-02', { demand: 130 }), good('2026-03-04', { demand: 130 })], 5)
				.painFree
		).toBe(105);
	});
	it('a painful set lowers it at once', () => {
		const env = envelopeWith(
			{ kneeFlexion: { right: base } },
			[good('2026-03-05', { demand: 80, painful: true })],
			5
		);
		expect(env.kneeFlexion?.right).toMatchObject({ tolerable: 77, painFree: 77, from: 'painful-set' });
	});
});

describe('gates', () => {
	const shown = [{ step: 'free-squat', side: 'both' as const, cleanReps: [10, 10, 8], effortMax: 6 }];
	it('three clean tens are asked, two are shown', () => {
		expect(gateState({ kind: 'clean-reps', step: 'free-squat', sets: 3, reps: 10 }, shown)).toMatchObject({
			met: false,
			shown: '2×10 (best set 10)'
		});
		expect(gateState({ kind: 'clean-reps', step: 'free-squat', sets: 2, reps: 10 }, shown).met).toBe(true);
	});
	it('the weaker side must reach its share', () => {
		const sides = [
			{ step: 'x', side: 'left' as const, cleanReps: [8], effortMax: 5 },
			{ step: 'x', side: 'right' as const, cleanReps: [10], effortMax: 5 }
		];
		expect(gateState({ kind: 'sides-within', step: 'x', share: 0.8 }, sides).met).toBe(true);
		expect(gateState({ kind: 'sides-within', step: 'x', share: 0.81 }, sides).met).toBe(false);
	});
	it('the leg that is not treated answers for comparing sides and for holds, never in the place of the treated one', () => {
		const legs = [
			{
				step: 'x',
				side: 'left' as const,
				cleanReps: [10, 10, 10],
				effortMax: undefined,
				untreated: true as const
			},
			{ step: 'x', side: 'right' as const, cleanReps: [8, 6, 6], effortMax: 5 }
		];
		expect(gateState({ kind: 'clean-reps', step: 'x', sets: 2, reps: 10 }, legs)).toMatchObject({
			met: false,
			shown: '0×10 (best set 8)'
		});
		expect(
			gateState({ kind: 'mastered', step: 'x' }, legs, { targetOf: () => ({ sets: 3, reps: 10 }) }).met
		).toBe(false);
		expect(gateState({ kind: 'easy-reps', step: 'x', reps: 10, effortMax: 6 }, legs).met).toBe(false);
		expect(gateState({ kind: 'sides-within', step: 'x', share: 0.8 }, legs)).toMatchObject({
			met: false,
			shown: '67 % (left 30, right 20)'
		});
		expect(gateState({ kind: 'held', step: 'x', sec: 8 }, legs)).toMatchObject({
			met: true,
			shown: 'left 10 s, right 8 s'
		});
	});
	it('the deepest squat of a stiff ankle is shallower than of a free one', () => {
		const deep = (df: number) =>
			deepestSquatInBand({
				body: body(),
				movement: 'squat',
				technique: 'parallel',
				limits: { weightBearingDorsiflexionDeg: df }
			});
		expect(deep(20)).toBeLessThan(deep(30));
	});
});

describe('how the shins stand', () => {
	const step = family.steps.find((s) => s.id === 'standard-seat') as Step;
	it('is said in degrees from the way it is taught, where a stiff ankle or a sore knee asks for it; nothing where none does', () => {
		expect(moreUprightDeg(step, context(envelope(140, 150, 42)), { seatCm: 46 })).toBe(0);
		// 15° less the 5° margin, against 18° as taught; a freer fold keeps the model's 3.5° free besides.
		expect(moreUprightDeg(step, context(envelope(140, 150, 15)), { seatCm: 46 })).toBe(18 - 10);
		expect(
			Math.abs(moreUprightDeg(step, context(envelope(140, 165, 15)), { seatCm: 46 }) - 11.5)
		).toBeLessThanOrEqual(0.5);
		expect(moreUprightDeg(step, context(envelope(98, 150, 42)), { seatCm: 46 })).toBeGreaterThan(3);
		expect(moreUprightDeg(FAMILIES.bridge?.steps[0] as Step, context(envelope(60)), null)).toBe(0);
	});
});
