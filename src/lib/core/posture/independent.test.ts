/**
 * A second implementation of squat and sit-to-stand, by other means: every mass a point, the pose found by a general minimiser
 * (fmin, a reference library) on position, balance and technique at once, moments summed from the ground up. It shares no code with
 * the model, only the published proportions, typed in again.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { minimise } from '../../../../tests/minimiser.ts';
import { bodyOf } from '../body/body.ts';
import { posture } from './posture.ts';

const RAD = Math.PI / 180;

interface Mass {
	readonly kg: number;
	readonly x: number;
	readonly y: number;
}

interface Chain {
	readonly masses: readonly Mass[];
	readonly knee: { x: number; y: number };
	readonly hip: { x: number; y: number };
	readonly comX: number;
	readonly total: number;
}

/** All point masses of a both-feet pose; inclinations in radians. Proportions: Drillis & Contini, Winter (from memory). */
function chain(
	H: number,
	M: number,
	shank: number,
	thigh: number,
	trunk: number,
	arms: 'hang' | 'chest',
	goblet: number
): Chain {
	const foot = 0.152 * H;
	const [Ls, Lt, S] = [0.246 * H, 0.245 * H, 0.288 * H];
	const ankle = { x: 0.25 * foot, y: 0.039 * H };
	const knee = { x: ankle.x + Ls * Math.sin(shank), y: ankle.y + Ls * Math.cos(shank) };
	const hip = { x: knee.x - Lt * Math.sin(thigh), y: knee.y + Lt * Math.cos(thigh) };
	const at = (u: number, v: number) => ({
		x: hip.x + u * Math.sin(trunk) + v * Math.cos(trunk),
		y: hip.y + u * Math.cos(trunk) - v * Math.sin(trunk)
	});
	const between = (a: { x: number; y: number }, b: { x: number; y: number }, share: number) => ({
		x: a.x + share * (b.x - a.x),
		y: a.y + share * (b.y - a.y)
	});
	const masses: Mass[] = [
		{ kg: 0.029 * M, x: 0.5 * foot, y: 0.02 },
		{ kg: 0.093 * M, ...between(knee, ankle, 0.433) },
		{ kg: 0.2 * M, ...between(hip, knee, 0.433) },
		{ kg: 0.142 * M, ...at(0.175 * S, 0) },
		{ kg: 0.436 * M, ...at(((0.578 * 0.66 - 0.142 * 0.175) / 0.436) * S, 0) },
		{
			kg: 0.1 * M,
			...(arms === 'chest' ? at(0.75 * S, 0.05 * H) : { x: at(S, 0).x, y: at(S, 0).y - 0.176 * H })
		},
		{ kg: goblet, ...at(0.85 * S, 0.1 * H) }
	];
	const total = masses.reduce((a, m) => a + m.kg, 0);
	return { masses, knee, hip, comX: masses.reduce((a, m) => a + m.kg * m.x, 0) / total, total };
}

/** Knee moment per leg from the ground up: reaction under the centre of mass, less foot and shank. */
function kneeFromBelow(c: Chain): number {
	const below = c.masses.slice(0, 2);
	const ground = c.total * 9.81 * (c.knee.x - c.comX);
	return (ground - below.reduce((a, m) => a + m.kg * 9.81 * (c.knee.x - m.x), 0)) / 2;
}

/** Hip moment per leg from the ground up. */
function hipFromBelow(c: Chain): number {
	const below = c.masses.slice(0, 3);
	const ground = c.total * 9.81 * (c.hip.x - c.comX);
	return -(ground - below.reduce((a, m) => a + m.kg * 9.81 * (c.hip.x - m.x), 0)) / 2;
}

function model(H: number, M: number) {
	const b = bodyOf({ heightCm: 100 * H, massKg: M });
	if (!b.ok) throw new Error(b.refusal.message);
	return b.value;
}

describe('by a general minimiser on point masses', () => {
	it('parallel squat: shank, lean and moments agree for any adult, depth and goblet', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1.5, max: 1.95, noNaN: true }),
				fc.double({ min: 50, max: 100, noNaN: true }),
				fc.integer({ min: 40, max: 100 }),
				fc.integer({ min: 0, max: 20 }),
				(H, M, thighDeg, kg) => {
					const arms = kg > 0 ? 'chest' : 'hang';
					const foot = 0.152 * H;
					const f = ([s = 0, t = 0]: number[]): number => {
						const c = chain(H, M, s, thighDeg * RAD, t, arms, kg);
						return 1e4 * (c.comX - 0.45 * foot) ** 2 + 100 * (s - t) ** 2;
					};
					const [s = NaN, t = NaN] = minimise(f, [0.4, 0.4]);
					const c = chain(H, M, s, thighDeg * RAD, t, arms, kg);
					const p = posture({
						body: model(H, M),
						movement: 'squat',
						technique: 'parallel',
						depth: { thighDeg },
						load: { kg, at: 'goblet' }
					});
					expect(p.angles.shank).toBeCloseTo(s / RAD, 2);
					expect(p.angles.trunkLean).toBeCloseTo(t / RAD, 2);
					expect(p.moments.kneePerLeg).toBeCloseTo(kneeFromBelow(c), 1);
					expect(p.moments.hipPerLeg).toBeCloseTo(hipFromBelow(c), 1);
				}
			),
			{ seed: 41, numRuns: 60 }
		);
	});
	it('ordinary rise: feet back 18°, centre of mass over the heel edge, the trunk does the rest', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 1.55, max: 1.9, noNaN: true }),
				fc.integer({ min: 42, max: 56 }),
				(H, seatCm) => {
					const hipY = seatCm / 100 + 0.047 * H;
					const f = ([th = 0, t = 0]: number[]): number => {
						const c = chain(H, 70, 18 * RAD, th, t, 'chest', 0);
						return 1e4 * (c.hip.y - hipY) ** 2 + 1e4 * c.comX ** 2;
					};
					const [th = NaN, t = NaN] = minimise(f, [1.3, 0.6]);
					const p = posture({ body: model(H, 70), movement: 'sit-to-stand', depth: { seatCm } });
					expect(p.angles.kneeFlexion).toBeCloseTo(18 + th / RAD, 2);
					expect(p.angles.trunkLean).toBeCloseTo(t / RAD, 2);
					const c = chain(H, 70, 18 * RAD, th, t, 'chest', 0);
					expect(p.moments.kneePerLeg).toBeCloseTo(kneeFromBelow(c), 1);
				}
			),
			{ seed: 43, numRuns: 40 }
		);
	});
	it('sit back, capped at the toe line: the front of the knee stands exactly above the toes', () => {
		for (const H of [1.55, 1.7, 1.85]) {
			const p = posture({
				body: model(H, 75),
				movement: 'squat',
				technique: 'sit-back',
				depth: { thighDeg: 85 }
			});
			const s = Math.asin((0.152 * H * 0.75 - 0.028 * H) / (0.246 * H));
			expect(p.angles.shank).toBeCloseTo(s / RAD, 6);
			expect(p.kneePastToeCm).toBeCloseTo(0, 6);
		}
	});
	it('knees forward with 10° of lean, where the ankle allows it', () => {
		const H = 1.7;
		const f = ([s = 0]: number[]): number =>
			(chain(H, 70, s, 60 * RAD, 10 * RAD, 'hang', 0).comX - 0.45 * 0.152 * H) ** 2 * 1e4;
		const [s = NaN] = minimise(f, [0.4]);
		const p = posture({
			body: model(H, 70),
			movement: 'squat',
			technique: 'knee-forward',
			depth: { thighDeg: 60 },
			limits: { weightBearingDorsiflexionDeg: 50 }
		});
		expect(p.angles.trunkLean).toBe(10);
		expect(p.angles.shank).toBeCloseTo(s / RAD, 2);
	});
});
