/**
 * A second implementation of step-up, hinge and split squat, by other means: every mass a point, the pose found by a general minimiser
 * (fmin, a reference library) on the same conditions, moments summed from the other end of the chain. It shares no code with the model,
 * only the published proportions, typed in again; the properties hold for any adult.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minimise } from '../../../../tests/minimiser.ts';
import { bodyOf } from '../body/body.ts';
import { bridge } from './bridge.ts';
import { hinge } from './hinge.ts';
import { legPress } from './leg-press.ts';
import { splitSquat } from './split-squat.ts';
import { stepUp } from './step-up.ts';

const RAD = Math.PI / 180;
const G = 9.81;
type P = { x: number; y: number };
type Mass = P & { kg: number };

function model(H: number, M: number) {
	const b = bodyOf({ heightCm: 100 * H, massKg: M });
	if (!b.ok) throw new Error(b.refusal.message);
	return b.value;
}

const lengths = (H: number) => ({
	foot: 0.152 * H,
	ankle: 0.039 * H,
	Ls: 0.246 * H,
	Lt: 0.245 * H,
	S: 0.288 * H
});
const up = (from: P, length: number, lean: number): P => ({
	x: from.x + length * Math.sin(lean),
	y: from.y + length * Math.cos(lean)
});
const back = (from: P, length: number, angle: number): P => ({
	x: from.x - length * Math.sin(angle),
	y: from.y + length * Math.cos(angle)
});
const part = (a: P, b: P, share: number): P => ({
	x: a.x + share * (b.x - a.x),
	y: a.y + share * (b.y - a.y)
});
/** Ankle of a foot standing on its ball, from a rotation of the flat foot about the ball. */
function pitched(H: number, ballX: number, pitch: number): { ankle: P; centre: P } {
	const { foot, ankle } = lengths(H);
	const turn = (dx: number, dy: number): P => ({
		x: ballX + dx * Math.cos(pitch) + dy * Math.sin(pitch),
		y: -dx * Math.sin(pitch) + dy * Math.cos(pitch)
	});
	return { ankle: turn(-0.45 * foot, ankle), centre: turn(-0.2 * foot, 0) };
}
const leg = (M: number, ankle: P, knee: P, hip: P, foot: P): Mass[] => [
	{ kg: 0.0145 * M, ...foot },
	{ kg: 0.0465 * M, ...part(knee, ankle, 0.433) },
	{ kg: 0.1 * M, ...part(hip, knee, 0.433) }
];
const trunk = (H: number, M: number, hip: P, lean: number): Mass[] => {
	const { S } = lengths(H);
	return [
		{ kg: 0.142 * M, ...up(hip, 0.175 * S, lean) },
		{ kg: 0.436 * M, ...up(hip, ((0.578 * 0.66 - 0.142 * 0.175) / 0.436) * S, lean) },
		{ kg: 0.1 * M, ...up(hip, S, lean) }
	];
};
const com = (m: readonly Mass[]): number =>
	m.reduce((a, q) => a + q.kg * q.x, 0) / m.reduce((a, q) => a + q.kg, 0);
const adult = [
	fc.double({ min: 1.5, max: 1.95, noNaN: true }),
	fc.double({ min: 50, max: 100, noNaN: true })
] as const;

describe('by a general minimiser on point masses', () => {
	it('step-up: transfer angles and the knee’s moment from the ground up', () => {
		fc.assert(
			fc.property(...adult, fc.integer({ min: 8, max: 34 }), (H, M, stepCm) => {
				const { foot, ankle, Ls, Lt } = lengths(H);
				const lead = { x: foot + 0.05 + 0.25 * foot, y: ankle + stepCm / 100 };
				const leadFoot = { x: foot + 0.05 + 0.5 * foot, y: stepCm / 100 };
				const trail = pitched(H, 0.7 * foot, 40 * RAD);
				const place = (s: number, t: number, r: number) => {
					const knee = up(lead, Ls, s);
					const hip = back(knee, Lt, t);
					const trailKnee = up(trail.ankle, Ls, r);
					const trailHip = back(trailKnee, Lt, 10 * RAD - r);
					const lean = Math.max(0, s);
					const rest = [...leg(M, trail.ankle, trailKnee, hip, trail.centre), ...trunk(H, M, hip, lean)];
					const own = leg(M, lead, knee, hip, leadFoot);
					return { knee, hip, trailHip, com: com([...own, ...rest]), own };
				};
				const f = ([s = 0, t = 0, r = 0]: number[]): number => {
					const q = place(s, t, r);
					return (
						1e4 *
						((q.hip.x - q.trailHip.x) ** 2 +
							(q.hip.y - q.trailHip.y) ** 2 +
							(q.com - (foot + 0.05 + 0.45 * foot)) ** 2)
					);
				};
				const [s = NaN, t = NaN, r = NaN] = minimise(f, [0.45, 0.7, 0.5], 6);
				const q = place(s, t, r);
				const own = stepUp({ body: model(H, M), stepCm });
				expect(own.transfer.weightBearingDorsiflexion).toBeCloseTo(s / RAD, 1);
				expect(own.transfer.kneeFlexion).toBeCloseTo((s + t) / RAD, 1);
				// From the ground: all the weight through the centre of pressure, less foot and shank.
				const below =
					G * (M * (q.knee.x - q.com) - q.own.slice(0, 2).reduce((a, m) => a + m.kg * (q.knee.x - m.x), 0));
				expect(Math.abs(own.moments.kneePerLeg - below)).toBeLessThan(0.6);
			}),
			{ seed: 61, numRuns: 25 }
		);
	});
	it('hinge: lean, fold and moments at a given knee, load hanging', () => {
		fc.assert(
			fc.property(
				...adult,
				fc.integer({ min: 20, max: 30 }),
				fc.integer({ min: 0, max: 30 }),
				fc.integer({ min: 30, max: 60 }),
				(H, M, kneeDeg, kg, percent) => {
					const { foot, ankle, Ls, Lt, S } = lengths(H);
					const handle = (percent / 100) * 0.62 * H * 0.5 + 0.1 * H;
					const at = { x: 0.25 * foot, y: ankle };
					const place = (s: number, lean: number) => {
						const knee = up(at, Ls, s);
						const hip = back(knee, Lt, kneeDeg * RAD - s);
						const shoulder = up(hip, S, lean);
						const legs = leg(2 * M, at, knee, hip, { x: 0.5 * foot, y: 0 });
						return {
							knee,
							hip,
							shoulder,
							legs,
							all: [...legs, ...trunk(H, M, hip, lean), { kg, ...shoulder }]
						};
					};
					const f = ([s = 0, lean = 0]: number[]): number => {
						const q = place(s, lean);
						return 1e4 * ((com(q.all) - 0.45 * foot) ** 2 + (q.shoulder.y - 0.386 * H - handle) ** 2);
					};
					const [s = NaN, lean = NaN] = minimise(f, [-0.1, 1], 6);
					const q = place(s, lean);
					const own = hinge({ body: model(H, M), handleCm: 100 * handle, loadKg: kg, close: { kneeDeg } });
					if (own.checks.some((c) => c.id === 'reach' && c.slack < 0)) return;
					expect(own.angles.trunkLean).toBeCloseTo(lean / RAD, 1);
					const W = M + kg;
					const hipBelow =
						(G * (W * (com(q.all) - q.hip.x) - q.legs.reduce((a, m) => a + m.kg * (m.x - q.hip.x), 0))) / 2;
					expect(Math.abs(own.moments.hipPerLeg - hipBelow)).toBeLessThan(0.5);
				}
			),
			{ seed: 62, numRuns: 25 }
		);
	});
	it('a hinge on one leg, the other in line with the trunk: lean and the hip’s moment from the floor up', () => {
		let judged = 0;
		fc.assert(
			fc.property(
				...adult,
				fc.integer({ min: 15, max: 30 }),
				fc.integer({ min: 0, max: 20 }),
				fc.integer({ min: 25, max: 60 }),
				(H, M, kneeDeg, kg, percent) => {
					const { foot, ankle, Ls, Lt, S } = lengths(H);
					const handle = (percent / 100) * 0.31 * H + 0.1 * H;
					const at = { x: 0.25 * foot, y: ankle };
					const place = (s: number, lean: number) => {
						const hip = back(up(at, Ls, s), Lt, kneeDeg * RAD - s);
						const standing = leg(M, at, up(at, Ls, s), hip, { x: 0.5 * foot, y: 0 });
						// Behind the hip along the trunk's own line: thigh, shank, and the foot at its end.
						const line = (d: number): P => up(hip, -d, lean);
						const free = leg(M, line(Lt + Ls), line(Lt), hip, line(Lt + Ls));
						const shoulder = up(hip, S, lean);
						return {
							hip,
							shoulder,
							standing,
							all: [...standing, ...free, ...trunk(H, M, hip, lean), { kg, ...shoulder }]
						};
					};
					const f = ([s = 0, lean = 0]: number[]): number => {
						const q = place(s, lean);
						return 1e4 * ((com(q.all) - 0.45 * foot) ** 2 + (q.shoulder.y - 0.386 * H - handle) ** 2);
					};
					const [s = NaN, lean = NaN] = minimise(f, [0, 1], 6);
					const q = place(s, lean);
					const own = hinge({
						body: model(H, M),
						handleCm: 100 * handle,
						loadKg: kg,
						close: { kneeDeg },
						oneLeg: true
					});
					if (own.checks.some((c) => c.id === 'reach' && c.slack < 0) || f([s, lean]) > 1e-4) return;
					judged++;
					expect(own.angles.trunkLean).toBeCloseTo(lean / RAD, 1);
					const hipBelow =
						G *
						((M + kg) * (com(q.all) - q.hip.x) - q.standing.reduce((a, m) => a + m.kg * (m.x - q.hip.x), 0));
					expect(Math.abs(own.moments.hipPerLeg - hipBelow)).toBeLessThan(0.5);
				}
			),
			{ seed: 66, numRuns: 25 }
		);
		expect(judged).toBeGreaterThan(12);
	});
	it('split squat: angles, both reactions and the front knee’s moment from the top down', () => {
		fc.assert(
			fc.property(
				...adult,
				fc.integer({ min: 5, max: 25 }),
				fc.integer({ min: 0, max: 20 }),
				fc.integer({ min: 0, max: 10 }),
				(H, M, shankDeg, leanDeg, eta10) => {
					const { foot, ankle, Ls, Lt } = lengths(H);
					const eta = eta10 / 10;
					const front = { x: 0.25 * foot, y: ankle };
					const rear = pitched(H, -0.42 * H, 60 * RAD);
					const knee = up(front, Ls, shankDeg * RAD);
					const place = (t: number, r: number, rt: number) => {
						const hip = back(knee, Lt, t);
						const rearKnee = up(rear.ankle, Ls, r);
						return { hip, rearKnee, rearHip: back(rearKnee, Lt, rt) };
					};
					const f = ([t = 0, r = 0, rt = 0]: number[]): number => {
						const q = place(t, r, rt);
						return (
							1e4 *
							((q.hip.x - q.rearHip.x) ** 2 +
								(q.hip.y - q.rearHip.y) ** 2 +
								(q.rearKnee.y - 0.035 - 0.02 * H) ** 2)
						);
					};
					const [t = NaN, r = NaN, rt = NaN] = minimise(f, [1.4, 1.5, 0.1], 8);
					const q = place(t, r, rt);
					const own = splitSquat({ body: model(H, M), shankDeg, leanDeg, eta });
					expect(own.front.kneeFlexion).toBeCloseTo(shankDeg + t / RAD, 1);
					expect(own.rear.kneeFlexion).toBeCloseTo((r + rt) / RAD, 1);
					expect(own.rear.hipExtension).toBeCloseTo(-rt / RAD - leanDeg, 1);
					const above = [
						...leg(M, rear.ankle, q.rearKnee, q.hip, rear.centre),
						...trunk(H, M, q.hip, leanDeg * RAD),
						leg(M, front, knee, q.hip, { x: 0, y: 0 })[2] as Mass
					];
					const all = [...above, ...leg(M, front, knee, q.hip, { x: 0.5 * foot, y: 0 }).slice(0, 2)];
					const xc = com(all);
					const yc = all.reduce((a, m) => a + m.kg * m.y, 0) / M;
					const [xF, xR] = [0.45 * foot, -0.42 * H];
					const share = (xc - xR) / (xF - xR);
					expect(own.frontShare).toBeCloseTo(100 * share, 0);
					// From above: weights over the knee, and the rear foot's push, up and forward.
					const R = M * (1 - share);
					const H_ = (M * share * eta * (xF - xc)) / yc;
					const top =
						G * (above.reduce((a, m) => a + m.kg * (knee.x - m.x), 0) - R * (knee.x - xR) + H_ * knee.y);
					expect(Math.abs(own.moments.kneePerLeg - top)).toBeLessThan(1.5);
				}
			),
			{ seed: 63, numRuns: 25 }
		);
	});
	it('bridge: the hip’s moment from the shoulder’s side is the one from the feet', () => {
		fc.assert(
			fc.property(
				...adult,
				fc.integer({ min: 40, max: 117 }),
				fc.constantFrom(1 as const, 2 as const),
				fc.integer({ min: 0, max: 40 }),
				(H, M, kneeDeg, legs, loadKg) => {
					const s = bridge({ body: model(H, M), kneeDeg, legs, loadKg });
					const hip = s.stick.hip;
					const cos = Math.cos(s.inclination * RAD);
					const { S, Lt, Ls } = lengths(H);
					const feet = (s.footShare / 100) * (M + loadKg);
					const freeKg = legs === 1 ? 0.161 * M : 0;
					const shoulder = 0.497 * M + loadKg + legs * 0.161 * M + freeKg - feet;
					const free =
						legs === 1 ? M * cos * (0.1 * 0.433 * Lt + 0.0465 * (Lt + 0.433 * Ls) + 0.0145 * (Lt + Ls)) : 0;
					const fromAbove = (G * (shoulder * S * cos - 0.497 * M * 0.5 * S * cos + free)) / legs;
					expect(s.moments.hipPerLeg).toBeCloseTo(fromAbove, 3);
					expect(hip.y).toBeGreaterThan(0);
				}
			),
			{ seed: 64, numRuns: 100 }
		);
	});
	it('leg press: hip and knee share the plate’s force times the thigh across the rail', () => {
		fc.assert(
			fc.property(...adult, fc.integer({ min: 40, max: 78 }), (H, M, sledCm) => {
				const b = model(H, M);
				const s = legPress({ body: b, sledCm, loadKg: 100 });
				const force = (G * 100 * Math.sin(45 * RAD)) / 2;
				// Distance of the knee from the rail through the hip, by Heron's area of hip, knee, ankle and the plate's offset.
				const [a, c] = [0.245 * H, 0.246 * H];
				const d = Math.hypot(sledCm / 100, 0.1);
				if (d > a + c) return;
				const half = (a + c + d) / 2;
				const height = (2 * Math.sqrt(half * (half - a) * (half - c) * (half - d))) / d;
				const along = Math.sqrt(a * a - height * height) * (a * a + d * d > c * c ? 1 : -1);
				const kneeP = (along * 0.1 + height * (sledCm / 100)) / d;
				expect(s.moments.kneePerLeg + s.moments.hipPerLeg).toBeCloseTo(force * kneeP, 4);
			}),
			{ seed: 65, numRuns: 100 }
		);
	});
});

describe('what holds for any adult', () => {
	it('a higher step bends the leading knee more at contact and transfer; a taller body bends it no more at the same step', () => {
		fc.assert(
			fc.property(...adult, fc.double({ min: 4, max: 34, noNaN: true }), (H, M, stepCm) => {
				const [low, high] = [
					stepUp({ body: model(H, M), stepCm }),
					stepUp({ body: model(H, M), stepCm: stepCm + 1 })
				];
				expect(high.contact.kneeFlexion).toBeGreaterThan(low.contact.kneeFlexion);
				expect(high.transfer.kneeFlexion).toBeGreaterThan(low.transfer.kneeFlexion);
				if (H < 1.95)
					expect(stepUp({ body: model(H * 1.02, M), stepCm }).transfer.kneeFlexion).toBeLessThanOrEqual(
						low.transfer.kneeFlexion + 1e-6
					);
			}),
			{ seed: 71, numRuns: 300 }
		);
	});
	it('a lower handle leans the trunk more; a nearer sled bends knee and hip more', () => {
		fc.assert(
			fc.property(...adult, fc.integer({ min: 25, max: 55 }), (H, M, cm) => {
				const b = model(H, M);
				const hands = (handleCm: number) => hinge({ body: b, handleCm, close: { kneeDeg: 20 } });
				const [lower, higher] = [hands(cm), hands(cm + 2)];
				if ([lower, higher].every((h) => h.checks.every((c) => c.id !== 'reach' || c.slack >= 0)))
					expect(lower.angles.trunkLean).toBeGreaterThan(higher.angles.trunkLean);
				const [near, far] = [legPress({ body: b, sledCm: cm }), legPress({ body: b, sledCm: cm + 2 })];
				expect(near.kneeFlexion).toBeGreaterThan(far.kneeFlexion);
				expect(near.thighTrunkFlexion).toBeGreaterThan(far.thighTrunkFlexion);
			}),
			{ seed: 72, numRuns: 300 }
		);
	});
	it('segments keep their lengths, and lengths scaled by k keep the angles', () => {
		fc.assert(
			fc.property(...adult, fc.integer({ min: 10, max: 30 }), (H, M, cm) => {
				const b = model(H, M);
				const dist = (p: P, q: P) => Math.hypot(p.x - q.x, p.y - q.y);
				for (const { near, far, hip, shoulder } of [
					stepUp({ body: b, stepCm: cm }).sticks[1],
					splitSquat({ body: b }).stick,
					hinge({ body: b, handleCm: cm + 20 }).stick
				]) {
					for (const l of [near, far ?? near]) {
						expect(dist(l.knee, l.ankle)).toBeCloseTo(b.shankM, 6);
						expect(dist(hip, l.knee)).toBeCloseTo(b.thighM, 6);
					}
					expect(dist(hip, shoulder)).toBeCloseTo(b.trunkM, 6);
				}
				const k = 1.1;
				if (H * k <= 2.2)
					expect(stepUp({ body: { ...model(H * k, M) }, stepCm: cm * k }).transfer.kneeFlexion).toBeCloseTo(
						stepUp({ body: b, stepCm: cm }).transfer.kneeFlexion,
						0
					);
			}),
			{ seed: 73, numRuns: 200 }
		);
	});
	it('any input, however absurd, gives finite numbers and named checks', () => {
		const wild = fc.double({ min: -500, max: 500, noNaN: true });
		fc.assert(
			fc.property(...adult, wild, wild, (H, M, a, c) => {
				const b = model(H, M);
				const numbers = [
					...Object.values(stepUp({ body: b, stepCm: a }).transfer),
					...Object.values(hinge({ body: b, handleCm: a, close: { kneeDeg: c } }).angles),
					...Object.values(hinge({ body: b, handleCm: a, close: { leanDeg: c } }).moments),
					...Object.values(splitSquat({ body: b, strideCm: a, thighDeg: c }).front),
					...Object.values(splitSquat({ body: b, strideCm: a, frontElevationCm: c }).moments),
					legPress({ body: b, sledCm: Math.abs(a), railDeg: c }).kneeFlexion,
					bridge({ body: b, footDistCm: a }).kneeFlexion
				];
				for (const n of numbers) expect(Number.isFinite(n)).toBe(true);
			}),
			{ seed: 74, numRuns: 300 }
		);
	});
});
