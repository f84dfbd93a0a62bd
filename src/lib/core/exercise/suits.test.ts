/** The library narrowed: by position, by what is at hand, by what is spared. Common practice. */
import { expect, it } from 'vitest';
import { findStep } from '#lib/catalogue/families.ts';
import { suits, type Asked } from './suits.ts';

const ask = (id: string, patch: Partial<Asked>): boolean =>
	suits(findStep(id)!.step, { position: '', kit: '', spares: '', ...patch });

it('asks nothing of nobody, and each of the three by its own', () => {
	expect(ask('plank', {})).toBe(true);
	expect([ask('bridge', { position: 'supine' }), ask('free-squat', { position: 'supine' })]).toEqual([
		true,
		false
	]);
	expect([ask('free-squat', { position: 'upright' }), ask('bridge', { position: 'upright' })]).toEqual([
		true,
		false
	]);
	expect([ask('free-squat', { kit: 'none' }), ask('banded-squat', { kit: 'none' })]).toEqual([true, false]);
	// A band is all it takes; a band and a chair is more than a band.
	expect([ask('banded-squat', { kit: 'band' }), ask('banded-seat-squat', { kit: 'band' })]).toEqual([
		true,
		false
	]);
	expect(ask('free-squat', { kit: 'band' })).toBe(false);
	expect([ask('side-lunge', { spares: 'toes' }), ask('split-squat', { spares: 'toes' })]).toEqual([
		true,
		false
	]);
	expect([ask('leg-press', { spares: 'back' }), ask('goblet-squat', { spares: 'back' })]).toEqual([
		true,
		false
	]);
});
