/** Where a rise brings the weight; a rise on momentum against published ranges of rising from an ordinary chair. */
import { expect, it } from 'vitest';
import { bodyOf } from '../body/body.ts';
import { balanceTargetOf, rearOf } from './balance.ts';
import { posture } from './posture.ts';
import type { Stand } from './problem.ts';

function built(heightCm: number, massKg: number) {
	const b = bodyOf({ heightCm, massKg });
	if (!b.ok) throw new Error(b.refusal.message);
	return b.value;
}
const PEOPLE = [
	[165, 62],
	[180, 80],
	[195, 95]
].map(([heightCm, massKg]) => built(heightCm as number, massKg as number));
const rise = (body: Stand['body'], more: Partial<Stand> = {}) =>
	posture({ body, movement: 'sit-to-stand', depth: { seatCm: 45 }, ...more }).angles;

it('the hip of a rise on momentum lies in the published 94–110° from 43–46 cm for 165 to 195 cm, that of an ordinary rise above it (ranges of rising, from memory)', () => {
	for (const body of PEOPLE) {
		const swing = rise(body, { momentum: 'swing' });
		expect(swing.thighTrunkFlexion).toBeGreaterThanOrEqual(94);
		expect(swing.thighTrunkFlexion).toBeLessThan(110);
		expect(swing.thighTrunkFlexion).toBeLessThan(rise(body).thighTrunkFlexion - 5);
		// The knee is where the seat puts it: momentum spares the fold, not the knee.
		expect(swing.kneeFlexion).toBeCloseTo(rise(body).kneeFlexion, 6);
	}
});

it('momentum belongs to a rise that nobody teaches otherwise; a technique and a squat keep their balance', () => {
	const body = PEOPLE[1] as Stand['body'];
	const of = (more: Partial<Stand>) => {
		const stand: Stand = { body, movement: 'sit-to-stand', ...more };
		return [balanceTargetOf(stand), rearOf(stand)];
	};
	expect(of({})).toEqual([0, -0.1]);
	expect(of({ momentum: 'swing' })).toEqual([-0.25, -0.35]);
	expect(of({ momentum: 'swing', technique: 'parallel' })).toEqual([0.45, 0.1]);
	expect(of({ momentum: 'swing', movement: 'squat' })).toEqual([0.45, 0.1]);
	expect(of({ momentum: 'swing', balanceTarget: 0.2 })[0]).toBe(0.2);
});
