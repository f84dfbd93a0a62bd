/** Heights that the trade names by a place on the body grow with it: mid-thigh, knee, shin, the lower edge of the shoulder blades. @source common practice */
import { describe, expect, it } from 'vitest';
import { FAMILIES } from '../../catalogue/families.ts';
import { type Body, bodyOf } from '../body/body.ts';
import { benchFor } from '../movement/bridge/problem.ts';
import { handleFor } from '../movement/hinge/problem.ts';
import { lengthOf, usualLength } from '../movement/of-step.ts';

function body(heightCm: number): Body {
	const b = bodyOf({ heightCm, massKg: 70 });
	if (!b.ok) throw new Error(b.refusal.message);
	return b.value;
}
const STEPS = Object.values(FAMILIES).flatMap((f) => f.steps);
const HEIGHTS = [150, 170, 190] as const;

describe('a place on the body', () => {
	it('is as many shares of the stature for everyone, within the rounding of half a centimetre', () => {
		const placed = STEPS.filter((s) => s.posture.movement === 'hinge' && s.posture.scales === true);
		expect(placed.length).toBeGreaterThan(8);
		for (const { id, posture } of placed) {
			if (posture.movement !== 'hinge') continue;
			const of170 = handleFor(posture, body(170));
			for (const h of HEIGHTS)
				expect(Math.abs(handleFor(posture, body(h)) - (of170 * h) / 170), id).toBeLessThanOrEqual(0.5);
		}
	});
	it('a bow is as deep for the small as for the tall, within what that rounding makes of it', () => {
		const bows = STEPS.filter((s) => lengthOf(s.posture) === 'bowDeg');
		expect(bows.length).toBeGreaterThan(4);
		for (const s of bows) {
			const all = HEIGHTS.map((h) => usualLength(s, body(h)) ?? NaN);
			expect(Math.max(...all) - Math.min(...all), s.id).toBeLessThanOrEqual(4);
		}
	});
	it('a weight on blocks stays where the blocks are', () => {
		const fixed = STEPS.filter((s) => s.posture.movement === 'hinge' && s.posture.scales !== true);
		expect(fixed.length).toBeGreaterThan(0);
		for (const s of fixed) expect(new Set(HEIGHTS.map((h) => usualLength(s, body(h)))).size, s.id).toBe(1);
	});
	it('a bench meets the shoulder blades of the small and of the tall; a floor has none', () => {
		const bridges = STEPS.flatMap((s) => (s.posture.movement === 'bridge' ? [s.posture] : []));
		const onBench = bridges.filter((p) => p.shoulderCm !== undefined);
		expect(onBench).toHaveLength(2);
		for (const p of onBench)
			expect(HEIGHTS.map((h) => benchFor(p, body(h)))).toEqual([
				{ shoulderCm: 35 },
				{ shoulderCm: 40 },
				{ shoulderCm: 45 }
			]);
		for (const p of bridges.filter((x) => x.shoulderCm === undefined))
			expect(benchFor(p, body(190))).toEqual({});
	});
});
