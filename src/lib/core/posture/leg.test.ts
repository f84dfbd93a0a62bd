/** One leg as two links, and walks over set-ups: against plane geometry (Euclid, law of cosines) and what must hold for any adult. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RAD } from '../base/angle.ts';
import { between, distance, point } from '../base/vector.ts';
import { bodyOf, type Body } from '../body/body.ts';
import { flatFoot, footAt, hipOf, kneeOf, legBetween, legLength, onTrunk } from './leg.ts';
import { bisect, walk } from './walk.ts';

function body(heightCm: number): Body {
	const b = bodyOf({ heightCm, massKg: 70 });
	if (!b.ok) throw new Error(b.refusal.message);
	return b.value;
}
const tall = fc.integer({ min: 145, max: 205 }).map(body);
const angle = (min: number, max: number) => fc.double({ min, max, noNaN: true }).map((d) => d * RAD);

describe('the leg between ankle and hip', () => {
	it('a right angle at the knee makes the line from ankle to hip the hypotenuse (Pythagoras)', () => {
		const b = body(170);
		const d = Math.hypot(b.shankM, b.thighM);
		expect(legLength(b, 90 * RAD)).toBeCloseTo(d, 12);
		expect(legBetween(b, 0, d).knee / RAD).toBeCloseTo(90, 9);
	});
	it('straight is as long as shank and thigh, folded as long as their difference', () => {
		const b = body(180);
		expect(legLength(b, 0)).toBeCloseTo(b.shankM + b.thighM, 12);
		expect(legLength(b, Math.PI)).toBeCloseTo(Math.abs(b.shankM - b.thighM), 12);
	});
	it('put together again from its angles it ends where the hip is, and keeps both lengths', () => {
		fc.assert(
			fc.property(tall, angle(-20, 50), angle(0, 130), (b, shank, thigh) => {
				const ankle = point(0.3, 0.08);
				const knee = kneeOf(b, ankle, shank);
				const hip = hipOf(b, knee, thigh);
				fc.pre(shank + thigh > 0.02 && shank + thigh < Math.PI - 0.02);
				const leg = legBetween(b, hip.x - ankle.x, hip.y - ankle.y);
				expect(leg.beyondM).toBe(0);
				expect(leg.shank).toBeCloseTo(shank, 7);
				expect(leg.thigh).toBeCloseTo(thigh, 7);
				expect(distance(ankle, knee)).toBeCloseTo(b.shankM, 12);
				expect(distance(knee, hip)).toBeCloseTo(b.thighM, 12);
				expect(distance(ankle, hip)).toBeCloseTo(legLength(b, leg.knee), 9);
			}),
			{ seed: 51, numRuns: 500 }
		);
	});
	it('out of reach it is straight towards the hip, and says by how much; too near it is folded', () => {
		const b = body(170);
		const far = legBetween(b, 0.6, 1.2);
		expect(far.knee).toBeCloseTo(0, 6);
		expect(far.shank).toBeCloseTo(Math.atan2(0.6, 1.2), 6);
		expect(far.beyondM).toBeCloseTo(Math.hypot(0.6, 1.2) - b.shankM - b.thighM, 12);
		const near = legBetween({ ...b, shankM: 0.5, thighM: 0.3 }, 0.05, 0);
		expect(near.knee).toBeCloseTo(Math.PI, 6);
		expect(near.beyondM).toBeCloseTo(0.15, 12);
	});
	it('a hip on the ankle is a number, not a hole', () => {
		const b = body(170);
		expect(Object.values(legBetween({ ...b, shankM: 0.4, thighM: 0.4 }, 0, 0)).every(Number.isFinite)).toBe(
			true
		);
	});
});

describe('the foot', () => {
	it('on its ball keeps every length of the flat foot, and the toes stay down', () => {
		fc.assert(
			fc.property(tall, angle(0, 75), fc.double({ min: -0.2, max: 0.4, noNaN: true }), (b, pitch, ground) => {
				const flat = footAt(b, 0.1, ground, 0);
				const up = footAt(b, 0.1, ground, pitch);
				for (const part of ['heel', 'ankle', 'centre'] as const)
					expect(distance(up[part], up.ball)).toBeCloseTo(distance(flat[part], flat.ball), 12);
				expect(distance(up.heel, up.ankle)).toBeCloseTo(distance(flat.heel, flat.ankle), 12);
				expect(up.toe).toEqual(flat.toe);
				expect(up.heel.y - ground).toBeCloseTo(distance(flat.heel, flat.ball) * Math.sin(pitch), 12);
			}),
			{ seed: 52, numRuns: 300 }
		);
	});
	it('flat, its heel stands where it was put', () => {
		expect(flatFoot(body(172), 0.25, 0.2).heel).toEqual({
			x: expect.closeTo(0.25, 12),
			y: expect.closeTo(0.2, 12)
		});
	});
	it('a point ahead of a leaning trunk is square to it', () => {
		const hip = point(0, 1);
		const [along, ahead] = [onTrunk(hip, 30 * RAD, 0.4), onTrunk(hip, 30 * RAD, 0.4, 0.1)];
		expect(distance(along, ahead)).toBeCloseTo(0.1, 12);
		expect((along.x - hip.x) * (ahead.x - along.x) + (along.y - hip.y) * (ahead.y - along.y)).toBeCloseTo(
			0,
			12
		);
	});
	it('a share of the way lies on the way', () => {
		expect(between(point(0, 0), point(2, 4))).toEqual({ x: 1, y: 2 });
		expect(between(point(1, 1), point(3, 5), 0.25)).toEqual({ x: 1.5, y: 2 });
	});
});

describe('a walk from easy to hard', () => {
	const slackAt = (s: number): number => (s > 3 && s < 4 ? -1 : s > 7.25 ? -1 : 1);
	it('stops at the first forbidden zone, though the far side of it is free again', () => {
		const { status, at } = walk({ easy: 0, hard: 10, steps: 50, slackAt });
		expect(status).toBe('limited');
		expect(at).toBeCloseTo(3, 5);
		expect(slackAt(at)).toBeGreaterThan(0);
	});
	it('goes down as it goes up, says when nothing limits it, and when nothing is feasible', () => {
		expect(walk({ easy: 7, hard: 0, steps: 50, slackAt })).toEqual({
			status: 'limited',
			at: expect.closeTo(4, 5)
		});
		expect(walk({ easy: 4.5, hard: 7, steps: 20, slackAt })).toEqual({ status: 'unlimited', at: 7 });
		expect(walk({ easy: 8, hard: 10, steps: 20, slackAt })).toEqual({ status: 'never-feasible', at: 8 });
	});
	it('a start that is only too upright is walked past; one that fails otherwise is not', () => {
		const late = (s: number): number => s - 2;
		expect(walk({ easy: 0, hard: 5, steps: 50, slackAt: late, tooUpright: () => true }).status).toBe(
			'unlimited'
		);
		expect(walk({ easy: 0, hard: 5, steps: 50, slackAt: late, tooUpright: () => false }).status).toBe(
			'never-feasible'
		);
	});
	it('narrowing answers the safe side of the edge', () => {
		fc.assert(
			fc.property(fc.double({ min: 0.1, max: 9.9, noNaN: true }), (edge) => {
				const at = bisect(0, 10, (s) => edge - s);
				expect(at).toBeLessThanOrEqual(edge + 1e-6);
				expect(edge - at).toBeLessThan(1e-6);
			}),
			{ seed: 53, numRuns: 200 }
		);
	});
});
