/** Measured ranges: order, bounds (from memory: knee > 165°, weight-bearing ankle > 50° are queried), missing parts. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AXES, POSSIBLE_RANGE } from '../body/axis.ts';
import { bodyOf } from '../body/body.ts';
import { addDays, dayNumber, daysBetween, isDay, weekday } from '../base/calendar-day.ts';
import { uuid7, uuidv7 } from '../base/uuid.ts';
import { measuredRange } from './range.ts';

describe('a measured range', () => {
	it('completes what is missing: no onset is no pain up to tolerable', () => {
		expect(measuredRange('kneeFlexion', { tolerable: 95, end: 120 })).toEqual({ ok: true, value: { painFree: 95, tolerable: 95, end: 120, pain: 0 } });
		expect(measuredRange('kneeFlexion', { onset: 80, end: 120 })).toMatchObject({ value: { painFree: 80, tolerable: 120 } });
	});
	it('refuses a knee of 170°, an ankle of 60°, an end before tolerable, and nothing at all, naming the field', () => {
		expect(measuredRange('kneeFlexion', { end: 170 })).toMatchObject({ ok: false, refusal: { field: 'end', reason: 'impossible-angle' } });
		expect(measuredRange('weightBearingDorsiflexion', { end: 60 })).toMatchObject({ ok: false, refusal: { reason: 'impossible-angle' } });
		expect(measuredRange('kneeFlexion', { tolerable: 100, end: 90 })).toMatchObject({ ok: false, refusal: { field: 'end', reason: 'order' } });
		expect(measuredRange('kneeFlexion', { onset: 100, tolerable: 90 })).toMatchObject({ ok: false, refusal: { field: 'tolerable' } });
		expect(measuredRange('kneeFlexion', { pain: 3 })).toMatchObject({ ok: false, refusal: { reason: 'empty' } });
		expect(measuredRange('kneeFlexion', { end: 100, pain: 11 })).toMatchObject({ ok: false, refusal: { field: 'pain' } });
	});
	it('whatever is accepted is ordered and possible', () => {
		fc.assert(
			fc.property(fc.constantFrom(...AXES), fc.record({ onset: fc.double({ min: -50, max: 250, noNaN: true }), tolerable: fc.double({ min: -50, max: 250, noNaN: true }), end: fc.double({ min: -50, max: 250, noNaN: true }) }, { requiredKeys: [] }), (axis, input) => {
				const r = measuredRange(axis, input);
				if (!r.ok) return;
				expect(r.value.painFree).toBeLessThanOrEqual(r.value.tolerable);
				expect(r.value.tolerable).toBeLessThanOrEqual(r.value.end);
				expect(r.value.painFree).toBeGreaterThanOrEqual(POSSIBLE_RANGE[axis][0]);
				expect(r.value.end).toBeLessThanOrEqual(POSSIBLE_RANGE[axis][1]);
			}),
			{ seed: 3, numRuns: 2000 }
		);
	});
});

describe('a body', () => {
	it('has the segment lengths of Drillis & Contini as drawn by Winter (from memory)', () => {
		const b = bodyOf({ heightCm: 168, massKg: 70 });
		expect(b).toMatchObject({ ok: true });
		if (b.ok) expect([b.value.shankM, b.value.thighM, b.value.footM].map((m) => Math.round(1000 * m) / 10)).toEqual([41.3, 41.2, 25.5]);
	});
	it('takes measured segments and refuses what no adult has', () => {
		expect(bodyOf({ heightCm: 168, massKg: 70, segments: { shankCm: 43 } })).toMatchObject({ value: { shankM: 0.43, measured: ['shankCm'] } });
		expect(bodyOf({ heightCm: 1.68, massKg: 70 })).toMatchObject({ ok: false, refusal: { field: 'heightCm' } });
		expect(bodyOf({ heightCm: 168, massKg: NaN })).toMatchObject({ ok: false, refusal: { field: 'massKg' } });
	});
});

describe('calendar days', () => {
	it('agree with the platform’s calendar over four centuries', () => {
		fc.assert(
			fc.property(fc.integer({ min: -60_000, max: 90_000 }), (n) => {
				const iso = new Date(n * 86_400_000).toISOString().slice(0, 10);
				expect(dayNumber(iso)).toBe(n);
				expect(addDays(iso, 0)).toBe(iso);
				expect(weekday(iso)).toBe(new Date(n * 86_400_000).getUTCDay());
			}),
			{ seed: 5, numRuns: 2000 }
		);
	});
	it('know what is no day', () => {
		for (const text of ['2026-02-29', '2026-13-01', '26-01-01', '2026-1-1', 'today', '']) expect(isDay(text), text).toBe(false);
		expect(isDay('2024-02-29')).toBe(true);
		expect(daysBetween('2026-02-28', '2026-03-01')).toBe(1);
	});
});

describe('ids', () => {
	it('are version 7 with their time in front (RFC 9562, A.6 example)', () => {
		const id = uuid7(0x017f22e279b0, Uint8Array.from([0x0c, 0xc3, 0x18, 0xc4, 0xdc, 0x0c, 0x0c, 0x07, 0x39, 0x8f]));
		expect(id).toBe('017f22e2-79b0-7cc3-98c4-dc0c0c07398f');
		expect(uuidv7.test(id)).toBe(true);
	});
});
