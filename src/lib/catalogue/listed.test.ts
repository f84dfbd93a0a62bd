/**
 * Doses, gates and faults the trade lists for single steps, written down once more by hand, beside the ladders they stand in.
 * @source common-practice every row
 */
import { describe, expect, it } from 'vitest';
import { faultsIn, type ExerciseFamily, type Step } from '../core/exercise/family.ts';
import { findStep } from './families.ts';

const found = (id: string): { family: ExerciseFamily; step: Step } => {
	const f = findStep(id);
	if (f === undefined) throw new Error(id);
	return f;
};
const step = (id: string): Step => found(id).step;

describe('doses', () => {
	it.each([
		['ninety-ninety', [1, 3], [3, 3], 'breaths'],
		['stick-lunge-1', [1, 2], [3, 2], undefined],
		['stick-lunge-2', [1, 3], [3, 3], 'breaths'],
		['stick-lunge-3', [1, 3], [3, 3], 'breaths'],
		['three-way-ankle', [3, 3], [3, 4], undefined],
		['stance-passes', [1, 10], [1, 20], undefined],
		['weighted-passes', [1, 10], [1, 20], undefined],
		['wall-press', [1, 8], [1, 10], undefined],
		['edge-heel-raise', [3, 10], [3, 20], undefined],
		['hip-axle', [1, 4], [2, 6], undefined],
		['heels-raised-goblet', [3, 12], [4, 15], undefined]
	] as const)('%s', (id, [sets, reps], [endSets, endReps], counts) => {
		expect(step(id).usualDose).toEqual({
			start: { sets, reps },
			target: { sets: endSets, reps: endReps }
		});
		expect(step(id).counts).toBe(counts);
	});
	it('what the next step asks of a step can be shown at that step’s own dose', () => {
		expect(step('stick-lunge-2').gates).toEqual([
			{ kind: 'clean-reps', step: 'stick-lunge-1', sets: 1, reps: 2 }
		]);
		for (const id of ['hip-axle', 'ninety-switch'])
			expect(step(id).gates).toEqual([{ kind: 'clean-reps', step: 'ninety-ninety', sets: 1, reps: 3 }]);
	});
	it('a squeeze of the pelvic floor is held from three seconds', () => {
		expect(step('pelvic-floor-squeeze').usually?.holdSec).toBe(3);
	});
});

describe('gates', () => {
	it('no weight in a lunge before the shoulders stay', () => {
		const weighted = {
			'loaded-reverse-lunge': 'reverse-lunge',
			'goblet-split-squat': 'split-squat',
			'loaded-front-raised-split-squat': 'front-raised-split-squat'
		};
		for (const [id, before] of Object.entries(weighted)) {
			expect(step(id).gates).toContainEqual({ kind: 'fault-free', step: before, fault: 'shoulders-round' });
			// It can be seen where it is asked.
			expect(step(before).faults).toContain('shoulders-round');
		}
	});
	it('a press and a loaded hinge wait for calm', () => {
		for (const [id, before] of [
			['rise-and-press', 'standard-seat'],
			['hinge-loaded', 'free-hinge']
		] as const)
			expect(step(id).gates).toContainEqual({ kind: 'pain-at-most', step: before });
	});
});

describe('faults', () => {
	const seen = (id: string, technique: Parameters<typeof faultsIn>[2]): readonly string[] =>
		faultsIn(found(id).family, step(id), technique).map((f) => f.id);
	it('a knee that leads is one on steps and in a rise on momentum whatever is taught; in a squat only where it is taught not to', () => {
		for (const id of ['low-step-up', 'step-down-tap', 'momentum-rise'])
			expect(seen(id, 'ordinary')).toContain('knee-leads');
		expect(seen('free-squat', 'ordinary')).not.toContain('knee-leads');
		expect(seen('step-up', 'knee-forward')).not.toContain('knee-leads');
		expect(seen('split-squat', 'sit-back')).toContain('knee-leads');
		expect(seen('split-squat', 'knee-forward')).not.toContain('knee-leads');
	});
	it('in a lunge it is mended by the stride, on a chair by the seat', () => {
		const dial = (id: string) => found(id).family.faults.find((f) => f.id === 'knee-leads')?.dial;
		expect([dial('split-squat'), dial('standard-seat')]).toEqual(['cue', 'surface']);
	});
	it('each squat is watched for the arch, the lost position and the work that is not felt', () => {
		for (const id of ['free-squat', 'wide-squat', 'goblet-squat', 'heels-raised-goblet'])
			expect(step(id).faults).toEqual(
				expect.arrayContaining(['back-arches', 'position-lost-midset', 'work-not-felt'])
			);
	});
});

it('from all fours to standing, held, turns the position alone', () => {
	expect(step('kneeling-hip-extension').next).toContainEqual({
		to: 'standing-hip-extension',
		dial: 'position'
	});
});
