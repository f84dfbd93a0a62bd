/** Faults by the place they are seen from. Common practice. */
import { expect, it } from 'vitest';
import { FAULTS } from '../../catalogue/faults.ts';
import { byView } from './by-view.ts';

it('one look takes in all of its view; a fault that nobody knows any more comes last', () => {
	const seen = ['heel-lifts', 'gone', 'knee-drifts-in', 'pelvis-tucks', 'foot-slides'].map((id) => ({ id }));
	expect(byView(seen, FAULTS).map((v) => [v.from, v.faults.map((f) => f.id)])).toEqual([
		['side', ['heel-lifts', 'pelvis-tucks']],
		['front', ['knee-drifts-in', 'foot-slides']],
		[null, ['gone']]
	]);
	expect(byView([], FAULTS)).toEqual([]);
});
