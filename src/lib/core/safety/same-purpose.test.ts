/** Other ways of the same purpose: what may be offered by name, and in which order. Common practice: never a leap, nearest first. */
import { describe, expect, it } from 'vitest';
import { context, seat, squat } from '../../../../tests/standing.ts';
import { FAMILIES } from '../../catalogue/families.ts';
import type { ExerciseFamily, Purpose, Step } from '../exercise/family.ts';
import { hardness } from '../fit/substitutes.ts';
import { samePurpose } from './same-purpose.ts';

const free: Step = {
	...seat,
	gates: [],
	posture: { movement: 'knee-extension', fromDeg: 60, toDeg: 0, by: 'limb' }
};
const step = (id: string, patch: Partial<Step> = {}): Step => ({ ...free, id, ...patch });
const family = (id: string, purposes: readonly Purpose[], steps: readonly Step[]): ExerciseFamily => ({
	...squat,
	id,
	purposes,
	steps
});
const own = family('own', ['thigh-front', 'buttock'], [step('mine')]);
const mine = own.steps[0] as Step;
const offered = (...families: ExerciseFamily[]) =>
	samePurpose(own, mine, [own, ...families], context()).map((w) => w.step.id);
const light = { dials: { ...seat.dials, support: 'two-hands' as const } };
const hard = { dials: { ...seat.dials, impact: 'hop' as const, load: 'heavy' as const } };

describe('another way of the same purpose', () => {
	it('is never of the own ladder, and serves something that is wanted', () => {
		expect(offered(family('a', ['thigh-front'], [step('a')]), family('b', ['calf'], [step('b')]))).toEqual([
			'a'
		]);
	});
	it('asks for nothing that was not shown: no gates, nothing retired, nothing harder; as hard is allowed', () => {
		expect(hardness(step('x', hard))).toBeGreaterThan(hardness(mine));
		expect(
			offered(
				family(
					'a',
					['thigh-front'],
					[
						step('gated', { gates: [{ kind: 'felt', step: 'mine' }] }),
						step('gone', { retired: { replacedBy: null } }),
						step('harder', hard),
						step('as-hard')
					]
				)
			)
		).toEqual(['as-hard']);
	});
	it('what does not fit now is not offered', () => {
		const deep = step('deep', {
			posture: { movement: 'knee-extension', fromDeg: 150, toDeg: 0, by: 'limb' }
		});
		expect(offered(family('a', ['thigh-front'], [deep, step('fits')]))).toEqual(['fits']);
	});
	it('what is mainly wanted comes first, then the nearest from below, then by name', () => {
		expect(
			offered(
				family('z', ['buttock'], [step('for-the-second')]),
				family('y', ['thigh-front'], [step('gentler', light), step('b-near'), step('a-near')])
			)
		).toEqual(['a-near', 'b-near', 'gentler', 'for-the-second']);
	});
	it('of the catalogue, every offer is another ladder’s entry no harder than the step', () => {
		for (const f of Object.values(FAMILIES))
			for (const s of f.steps.slice(0, 3))
				for (const w of samePurpose(f, s, Object.values(FAMILIES), context())) {
					expect(w.family).not.toBe(f.id);
					expect(w.step.gates).toEqual([]);
					expect(hardness(w.step)).toBeLessThanOrEqual(hardness(s) + 1e-9);
				}
	});
});
