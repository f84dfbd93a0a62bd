/** The drawn figure: the client's own proportions, furniture to scale, finite numbers for any pose. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bodyOf, type Body } from '../body/body.ts';
import { posture } from '../posture/posture.ts';
import { TECHNIQUES } from '../posture/problem.ts';
import { figureOf, type Scene } from './figure.ts';
import { limbPath } from './limb.ts';
import { middleJoint } from './two-link.ts';
import { distance, point } from '../base/vector.ts';

function body(heightCm: number): Body {
	const b = bodyOf({ heightCm, massKg: 70 });
	if (!b.ok) throw new Error('body');
	return b.value;
}
const scene = (heightCm: number, seatCm: number): Scene => {
	const b = body(heightCm);
	return {
		body: b,
		posture: posture({ body: b, movement: 'sit-to-stand', depth: { seatCm } }),
		arms: 'chest',
		stance: 'both',
		seatCm,
		limiting: ['kneeFlexion']
	};
};

describe('figure', () => {
	it('draws shank and thigh as long as the body has them', () => {
		for (const heightCm of [150, 168, 195]) {
			const { joints } = figureOf(scene(heightCm, 50));
			const at = Object.fromEntries(joints.map((j) => [j.id, j]));
			const cm = (a: string, b: string) =>
				Math.hypot((at[a]?.x ?? 0) - (at[b]?.x ?? 0), (at[a]?.y ?? 0) - (at[b]?.y ?? 0));
			expect(cm('knee', 'ankle')).toBeCloseTo(0.246 * heightCm, 6);
			expect(cm('hip', 'knee')).toBeCloseTo(0.245 * heightCm, 6);
		}
	});
	it('puts the seat at its height, writes it, and rings the limiting joint only', () => {
		const f = figureOf(scene(168, 47));
		expect(f.shapes.find((s) => s.id === 'seat')?.d).toContain('-47L');
		expect(f.labels).toMatchObject([{ cm: 47, of: 'seat' }]);
		expect(f.joints.filter((j) => j.ringed).map((j) => j.id)).toEqual(['knee']);
	});
	it('has no NaN in any path, for any pose, stance and load', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 140, max: 205 }),
				fc.integer({ min: 10, max: 130 }),
				fc.constantFrom(...TECHNIQUES),
				fc.constantFrom('both' as const, 'staggered' as const, 'one' as const),
				fc.integer({ min: 0, max: 60 }),
				(h, thighDeg, technique, stance, kg) => {
					const b = body(h);
					const load = { kg, at: 'goblet' as const };
					const p = posture({
						body: b,
						movement: 'squat',
						technique,
						stance,
						depth: { thighDeg },
						load,
						heelWedgeCm: 3
					});
					const f = figureOf({ body: b, posture: p, arms: 'chest', stance, load, held: thighDeg % 2 === 0 });
					for (const s of f.shapes) expect(s.d).not.toMatch(/NaN|Infinity|undefined/);
					expect(f.shapes.some((s) => s.role === 'far')).toBe(stance !== 'both');
				}
			),
			{ seed: 17, numRuns: 400 }
		);
	});
	it('a limb whose ends coincide is a circle, and a folded two-link keeps its lengths', () => {
		expect(limbPath(point(0, 0), point(0, 0), 3, 2)).toContain('a3 3');
		const elbow = middleJoint(point(0, 0), point(0.3, 0), 0.25, 0.2, 1);
		expect(distance(point(0, 0), elbow)).toBeCloseTo(0.25, 9);
		expect(distance(point(0.3, 0), elbow)).toBeCloseTo(0.2, 9);
	});
});
