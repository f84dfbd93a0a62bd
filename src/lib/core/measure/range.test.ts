/** Measured ranges: order, bounds (from memory: knee > 165°, weight-bearing ankle > 50° are queried), missing parts. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { METHODS, methodOf, RANGES } from '../../catalogue/ranges.ts';
import { AXES, isMidline, POSSIBLE_RANGE, sidesOfAxis } from '../body/axis.ts';
import { bodyOf } from '../body/body.ts';
import { addDays, ageOn, dayNumber, daysBetween, isDay, weekday } from '../base/calendar-day.ts';
import { uuid7, uuidv7 } from '../base/uuid.ts';
import { farFromAll, looksSwapped, measuredRange } from './range.ts';
import { RANGE_IDS, sideDifference, sidesRead, usualFor, usualSpan } from './range-kind.ts';

describe('a measured range', () => {
	it('completes what is missing: no onset is no pain up to tolerable', () => {
		expect(measuredRange(RANGES.kneeFlexion, { tolerable: 95, end: 120 })).toEqual({
			ok: true,
			value: { painFree: 95, tolerable: 95, end: 120, pain: 0 }
		});
		expect(measuredRange(RANGES.kneeFlexion, { onset: 80, end: 120 })).toMatchObject({
			value: { painFree: 80, tolerable: 120 }
		});
	});
	it('refuses a knee of 170°, an ankle of 60°, an end before tolerable, and nothing at all, naming the field', () => {
		expect(measuredRange(RANGES.kneeFlexion, { end: 170 })).toMatchObject({
			ok: false,
			refusal: { field: 'end', reason: 'impossible-angle' }
		});
		expect(measuredRange(RANGES.weightBearingDorsiflexion, { end: 60 })).toMatchObject({
			ok: false,
			refusal: { reason: 'impossible-angle' }
		});
		expect(measuredRange(RANGES.kneeFlexion, { tolerable: 100, end: 90 })).toMatchObject({
			ok: false,
			refusal: { field: 'end', reason: 'order' }
		});
		expect(measuredRange(RANGES.kneeFlexion, { onset: 100, tolerable: 90 })).toMatchObject({
			ok: false,
			refusal: { field: 'tolerable' }
		});
		expect(measuredRange(RANGES.kneeFlexion, { pain: 3 })).toMatchObject({
			ok: false,
			refusal: { reason: 'empty' }
		});
		expect(measuredRange(RANGES.kneeFlexion, { end: 100, pain: 11 })).toMatchObject({
			ok: false,
			refusal: { field: 'pain' }
		});
	});
	it('whatever is accepted is ordered and possible', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...RANGE_IDS),
				fc.record(
					{
						onset: fc.double({ min: -50, max: 250, noNaN: true }),
						tolerable: fc.double({ min: -50, max: 250, noNaN: true }),
						end: fc.double({ min: -50, max: 250, noNaN: true })
					},
					{ requiredKeys: [] }
				),
				(id, input) => {
					const r = measuredRange(RANGES[id], input);
					if (!r.ok) return;
					expect(r.value.painFree).toBeLessThanOrEqual(r.value.tolerable);
					expect(r.value.tolerable).toBeLessThanOrEqual(r.value.end);
					expect(r.value.painFree).toBeGreaterThanOrEqual(RANGES[id].possible[0]);
					expect(r.value.end).toBeLessThanOrEqual(RANGES[id].possible[1]);
				}
			),
			{ seed: 3, numRuns: 2000 }
		);
	});
});

describe('a body', () => {
	it('has the segment lengths of Drillis & Contini as drawn by Winter (from memory)', () => {
		const b = bodyOf({ heightCm: 168, massKg: 70 });
		expect(b).toMatchObject({ ok: true });
		if (b.ok)
			expect([b.value.shankM, b.value.thighM, b.value.footM].map((m) => Math.round(1000 * m) / 10)).toEqual([
				41.3, 41.2, 25.5
			]);
	});
	it('takes measured segments and refuses what no adult has', () => {
		expect(bodyOf({ heightCm: 168, massKg: 70, segments: { shankCm: 43 } })).toMatchObject({
			value: { shankM: 0.43, measured: ['shankCm'] }
		});
		expect(bodyOf({ heightCm: 1.68, massKg: 70 })).toMatchObject({
			ok: false,
			refusal: { field: 'heightCm' }
		});
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
		for (const text of ['2026-02-29', '2026-13-01', '26-01-01', '2026-1-1', 'today', ''])
			expect(isDay(text), text).toBe(false);
		expect(isDay('2024-02-29')).toBe(true);
		expect(daysBetween('2026-02-28', '2026-03-01')).toBe(1);
	});
});

describe('ids', () => {
	it('are version 7 with their time in front (RFC 9562, A.6 example)', () => {
		const id = uuid7(
			0x017f22e279b0,
			Uint8Array.from([0x0c, 0xc3, 0x18, 0xc4, 0xdc, 0x0c, 0x0c, 0x07, 0x39, 0x8f])
		);
		expect(id).toBe('017f22e2-79b0-7cc3-98c4-dc0c0c07398f');
		expect(uuidv7.test(id)).toBe(true);
	});
});

describe('units and sides that look wrong', () => {
	it('a knee of 1.2 is refused with what it would be in degrees; 1° of a hip is not', () => {
		expect(measuredRange(RANGES.kneeFlexion, { end: 1.2 })).toMatchObject({
			ok: false,
			refusal: { reason: 'wrong-unit', field: 'end', message: expect.stringContaining('69°') as string }
		});
		expect(measuredRange(RANGES.kneeFlexion, { end: 1 })).toMatchObject({ ok: true });
		expect(measuredRange(RANGES.kneeExtension, { end: -1.5 })).toMatchObject({ ok: true });
	});
	it('a hanging ankle past 35° and a loaded one past 50° are different bounds (from memory)', () => {
		expect([36, 35].map((end) => measuredRange(RANGES.ankleDorsiflexion, { end }).ok)).toEqual([false, true]);
		expect([51, 50].map((end) => measuredRange(RANGES.weightBearingDorsiflexion, { end }).ok)).toEqual([
			false,
			true
		]);
		expect([151, 150].map((end) => measuredRange(RANGES.hipFlexion, { end }).ok)).toEqual([false, true]);
	});
	it('sees left and right swapped against the last sheet, and nothing where sides were alike or truly changed', () => {
		expect(looksSwapped({ left: 86, right: 120 }, { left: 118, right: 84 }, 4)).toBe(true);
		expect(looksSwapped({ left: 120, right: 86 }, { left: 118, right: 84 }, 4)).toBe(false);
		expect(looksSwapped({ left: 118, right: 112 }, { left: 118, right: 84 }, 4)).toBe(false);
		expect(looksSwapped({ left: 100, right: 102 }, { left: 103, right: 99 }, 4)).toBe(false);
	});
});

describe('usual values (from memory; Soucie 2011, AAOS 1965, Roaas & Andersson 1982, Roach & Miles 1991)', () => {
	it('are of the age and sex, and an unknown sex takes both', () => {
		const values = (age: number, sex: 'female' | 'male' | null): number[] =>
			usualFor(RANGES.kneeFlexion, age, sex).map((u) => u.value);
		expect(values(30, 'female')).toEqual([135, 141.9, 132]);
		expect(values(58, 'male')).toEqual([135, 132.9, 132]);
		expect(values(58, null)).toEqual([135, 137.8, 132.9, 132]);
		expect(values(80, 'male')).toEqual([135]);
	});
	it('hip extension runs from 9 to 30 by source: a span, not a number', () => {
		expect(usualSpan(usualFor(RANGES.hipExtension, 35, 'male'))).toEqual({ low: 9, high: 30 });
		expect(usualSpan([])).toBeUndefined();
	});
	it('a side difference counts from the error of the method, and swapping sides swaps only the name', () => {
		expect(sideDifference(130, 118, METHODS.goniometer)).toEqual({
			degrees: 12,
			less: 'right',
			beyondError: true
		});
		expect(sideDifference(118, 130, METHODS.goniometer)).toEqual({
			degrees: -12,
			less: 'left',
			beyondError: true
		});
		expect(sideDifference(130, 125, METHODS.goniometer).beyondError).toBe(false);
		expect(methodOf('knee to wall').id).toBe('knee-to-wall');
		expect(methodOf('a string and a nail').errorDeg).toBe(10);
	});
});

describe('age', () => {
	it('counts the birthday itself, and 29 February in common years on 1 March', () => {
		expect([ageOn('1953-03-12', '2026-03-11'), ageOn('1953-03-12', '2026-03-12')]).toEqual([72, 73]);
		expect([ageOn('2008-02-29', '2026-02-28'), ageOn('2008-02-29', '2026-03-01')]).toEqual([17, 18]);
	});
});

describe('far from all others', () => {
	it('is asked about past thirty degrees from the nearest, either way', () => {
		const far = [104, 105, 165, 166].map((n) => farFromAll(n, [135], []));
		expect(far).toEqual([true, false, false, true]);
		expect(farFromAll(14, [135, 20], [])).toBe(false);
		expect(farFromAll(14, [135], [20])).toBe(false);
	});
	it('of a side that was never read only past sixty from the other; the first reading is far from nothing', () => {
		expect([farFromAll(75, [], [135]), farFromAll(74, [], [135])]).toEqual([false, true]);
		expect(farFromAll(14, [], [])).toBe(false);
	});
});

it('a kind and its axis agree: its own name, its bounds, and whether there is one of it or one a side', () => {
	for (const kind of Object.values(RANGES)) {
		expect(sidesRead(kind)).toEqual(kind.midline === true ? ['left'] : ['left', 'right']);
		if (kind.axis === null) continue;
		expect(kind.id).toBe(kind.axis);
		expect(kind.midline === true, kind.id).toBe(isMidline(kind.axis));
		expect(sidesOfAxis(kind.axis)).toEqual(sidesRead(kind));
		expect(kind.possible).toEqual(POSSIBLE_RANGE[kind.axis]);
	}
	expect(AXES.filter((a) => !Object.values(RANGES).some((k) => k.axis === a))).toEqual([]);
});
