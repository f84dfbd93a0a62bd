/** The tighter side of a stretch goes first (common practice). */
import { expect, it } from 'vitest';
import { tighterOf } from './stretch.ts';

it('what was said last holds, each by itself; alike is no side, and nothing said is nothing', () => {
	expect(tighterOf([])).toBeNull();
	expect(tighterOf([{}])).toBeNull();
	expect(tighterOf([{ tighter: 'alike' }])).toBeNull();
	expect(tighterOf([{ tighter: 'left' }, { tighter: 'right' }, {}])).toEqual({
		first: 'right',
		stoppedBy: null
	});
	expect(tighterOf([{ tighter: 'left', stoppedBy: 'hip' }, { tighter: 'alike' }])).toEqual({
		first: null,
		stoppedBy: 'hip'
	});
	expect(tighterOf([{ stoppedBy: 'ankle' }, { tighter: 'left', stoppedBy: 'thigh' }])).toEqual({
		first: 'left',
		stoppedBy: 'thigh'
	});
});
