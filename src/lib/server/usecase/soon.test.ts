/** Asked often in a moment it is done once, and again when it is asked after it. Common practice. */
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { Soon } from './soon.ts';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

it('is done once for all who ask in a moment, when it is over; each key by itself', () => {
	const done: string[] = [];
	const soon = new Soon(1000);
	soon.ask('a', () => done.push('a1'));
	vi.advanceTimersByTime(600);
	soon.ask('a', () => done.push('a2'));
	soon.ask('b', () => done.push('b1'));
	vi.advanceTimersByTime(399);
	expect(done).toEqual([]);
	vi.advanceTimersByTime(1);
	expect(done).toEqual(['a1']);
	vi.advanceTimersByTime(600);
	expect(done).toEqual(['a1', 'b1']);
});
it('is done again for who asks afterwards, while it is being done too', () => {
	const done: string[] = [];
	const soon = new Soon(1000);
	soon.ask('a', () => {
		done.push('first');
		soon.ask('a', () => done.push('second'));
	});
	vi.advanceTimersByTime(1000);
	expect(done).toEqual(['first']);
	vi.advanceTimersByTime(1000);
	expect(done).toEqual(['first', 'second']);
});
