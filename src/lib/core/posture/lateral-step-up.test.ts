/** Stepping up sideways against hand-worked geometry, and against its neighbours. */
import { describe, expect, it } from 'vitest';
import { DEG } from '../base/angle.ts';
import { bodyOf } from '../body/body.ts';
import { asStepDown, liftedKneeDeg, takingWeight } from './lateral-step-up.ts';
import { posture } from './posture.ts';
import { stepDown } from './step-down.ts';
import { stepUp } from './step-up.ts';

const built = bodyOf({ heightCm: 170, massKg: 70 });
if (!built.ok) throw new Error(built.refusal.message);
const body = built.value;
const taking = (stepCm: number) => posture(takingWeight({ body, stepCm, technique: 'parallel' }));

describe('stepping up sideways', () => {
	it('the lifted knee by the law of cosines: the leg is as much shorter as the step is high (hand-worked)', () => {
		const [shank, thigh] = [body.shankM, body.thighM];
		const soft = Math.sqrt(shank ** 2 + thigh ** 2 - 2 * shank * thigh * Math.cos(170 / DEG));
		for (const cm of [8, 15, 20]) {
			const d = soft - cm / 100;
			const knee = 180 - DEG * Math.acos((shank ** 2 + thigh ** 2 - d ** 2) / (2 * shank * thigh));
			expect(liftedKneeDeg(body, cm, 0)).toBeCloseTo(knee, 6);
			expect(liftedKneeDeg(body, cm, 20)).toBeCloseTo(knee + 20, 6);
		}
		expect(liftedKneeDeg(body, 0, 0)).toBeCloseTo(10, 6);
	});

	it('the hips stand lower than beside a straight leg by what a soft knee and a line of 10° take (hand-worked)', () => {
		const [shank, thigh] = [body.shankM, body.thighM];
		const soft = Math.sqrt(shank ** 2 + thigh ** 2 - 2 * shank * thigh * Math.cos(170 / DEG));
		const lower = asStepDown({ body }).pelvicDropCm ?? 0;
		expect(lower).toBeCloseTo(100 * (shank + thigh - soft * Math.cos(10 / DEG)), 6);
		expect(lower).toBeGreaterThan(1);
		expect(lower).toBeLessThan(3);
		// The hip of the solved posture stands there, counted from the top of the step.
		const hip = 100 * taking(15).points.hip.y;
		expect(hip).toBeCloseTo(100 * (body.ankleHeightM + shank + thigh) - lower - 15, 1);
	});

	it('no leg hangs ahead, so it takes other balance than the same step down', () => {
		const down = stepDown({ body, stepCm: 15, technique: 'parallel' });
		expect(taking(15).angles.kneeFlexion).not.toBeCloseTo(down.angles.kneeFlexion, 0);
	});

	it('higher asks more of knee, fold and ankle, and a low step less than a forward step-up of the same height folds', () => {
		const rows = [4, 8, 12, 16, 20].map(taking);
		rows.slice(1).forEach((q, i) => {
			const before = rows[i] as (typeof rows)[number];
			expect(q.angles.kneeFlexion).toBeGreaterThan(before.angles.kneeFlexion);
			expect(q.angles.thighTrunkFlexion).toBeGreaterThan(before.angles.thighTrunkFlexion);
		});
		// Beside the step nothing has to be reached forward for: the lifted knee is bent less than the foot placed ahead.
		expect(liftedKneeDeg(body, 15, 20)).toBeLessThan(
			stepUp({ body, stepCm: 15, swingClearanceDeg: 20 }).swingKnee + 10
		);
	});
});
