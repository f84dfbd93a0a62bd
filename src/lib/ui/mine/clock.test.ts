/** Which day it is on a device whose clock is off, and in a demo that stands still. */
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { dayHere, measureClock, isStale } from './clock.ts';

const kept = new Map<string, string>();
beforeEach(() => {
	kept.clear();
	vi.stubGlobal('localStorage', {
		getItem: (k: string) => kept.get(k) ?? null,
		setItem: (k: string, v: string) => void kept.set(k, v)
	});
});
const HOUR = 3_600_000;
const at = (iso: string): number => Date.parse(iso);

it('a clock that is a day ahead gives the day of the server; before three it is the day before', () => {
	const here = { tz: 'Europe/London', dayShift: 0 };
	const device = at('2026-03-13T09:00:00Z');
	const behind = measureClock(at('2026-03-12T09:00:00Z'), device, true);
	expect(behind).toBe(-24 * HOUR);
	expect(dayHere(here, behind, device)).toBe('2026-03-12');
	expect(dayHere(here, 0, at('2026-03-13T02:30:00Z'))).toBe('2026-03-12');
});

it('what was measured is remembered where a page comes out of the cache, which tells nothing of the clock', () => {
	measureClock(at('2026-03-12T09:00:00Z'), at('2026-03-12T11:00:00Z'), true);
	expect(measureClock(at('2026-03-12T09:00:00Z'), at('2026-03-14T11:00:00Z'), false)).toBe(-2 * HOUR);
	kept.clear();
	expect(measureClock(1, 2, false)).toBe(0);
});

it('a demo is as many days from the clock as it was', () => {
	expect(dayHere({ tz: 'UTC', dayShift: -261 }, 0, at('2026-11-28T10:00:00Z'))).toBe('2026-03-12');
});

describe('a page out of the cache', () => {
	it('is told by when it was made, on a clock that is wrong too', () => {
		expect(isStale(100_000, 0, 110_000)).toBe(false);
		expect(isStale(100_000, 0, 110_001)).toBe(true);
		expect(isStale(100_000, 90_000, 15_000)).toBe(false);
		expect(isStale(200_000, 90_000, 15_000)).toBe(true);
	});
});
