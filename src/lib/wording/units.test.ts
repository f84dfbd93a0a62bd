/**
 * Units and days as a practice writes them. Conversions: International yard and pound agreement, 1959 (1 in = 2.54 cm, 1 lb = 0.453 592 37 kg, exactly), also in NIST
 * Special Publication 811, appendix B.8, given here from memory.
 */
import fc from 'fast-check';
import { afterEach, describe, expect, it } from 'vitest';
import type { ProposedChange } from '#lib/core/decision/trace.ts';
import { shortDay } from './days.ts';
import { changeText } from './decision.ts';
import { doseText, keptDose } from './dose.ts';
import { reachText, setupText, softenText } from './setup.ts';
import { longDay, typedDay } from './typed-day.ts';
import { aboutText, cmText, inProse, inUnits, kgText, typedMetric, unitName } from './units.ts';
import { AS_USUAL, writeAs, writtenAs, type WrittenAs } from './written-as.ts';

const as = (patch: Partial<WrittenAs>): void => writeAs(() => ({ ...AS_USUAL, ...patch }));
afterEach(() => writeAs(() => AS_USUAL));
const dose = { sets: 3, reps: 10, loadKg: 11.33980925 };

describe('in cm and kg', () => {
	it('is what is written where nobody said otherwise', () => {
		expect([cmText(47), kgText(8), kgText(11.34), aboutText(2, 3)]).toEqual([
			'47 cm',
			'8 kg',
			'11.34 kg',
			'2–3 cm'
		]);
		expect([doseText({ ...dose, loadKg: 8 }), keptDose('3×10 8 kg')]).toEqual(['3×10 8 kg', '3×10 8 kg']);
		expect([typedMetric('47,5', 'cm'), typedMetric('x', 'cm'), typedMetric('', 'kg')]).toEqual([
			'47.5',
			undefined,
			undefined
		]);
		expect(inProse('on 5 cm')).toBe('on 5 cm');
	});
});

describe('in inches and pounds', () => {
	it('are an inch of 2.54 cm and a pound of 0.45359237 kg', () => {
		as({ units: 'imperial' });
		expect([inUnits(2.54, 'cm'), inUnits(0.45359237, 'kg')]).toEqual([1, 1]);
		expect([typedMetric('100', 'cm'), typedMetric('100', 'kg'), typedMetric('25', 'kg')]).toEqual([
			'254',
			'45.36',
			'11.34'
		]);
		expect([unitName('cm'), unitName('kg')]).toEqual(['in', 'lb']);
	});
	it('say a set-up, a dose, a reach and prose', () => {
		as({ units: 'imperial' });
		expect(setupText({ seatCm: 47 })).toBe('seat 18.5 in');
		expect(setupText({ thighDeg: 70 })).toBe('thigh 70°');
		expect(softenText('seatCm')).toBe('raise it 1 in if it hurts');
		expect([doseText(dose), keptDose('3×10 8 kg'), keptDose('2×45 s')]).toEqual([
			'3×10 25 lb',
			'3×10 17.6 lb',
			'2×45 s'
		]);
		const length = { of: 'seatCm', value: 47, unit: 'cm', harder: -1 } as const;
		expect(reachText(length, { value: 46.2, unit: 'cm' }, { low: 45, high: 49 }, 'inside the limits')).toBe(
			'lowest inside the limits 18.5 in ± 0.8 · '
		);
		expect(inProse('An ordinary chair, 42–46 cm. On 5 cm; 12–15 reps with 8 kg')).toBe(
			'An ordinary chair, 16.5–18.1 in. On 2 in; 12–15 reps with 17.6 lb'
		);
	});
	it('a height that was written and typed again is the same height, to the whole cm', () => {
		as({ units: 'imperial' });
		for (let cm = 1; cm <= 230; cm++) expect(typedMetric(String(inUnits(cm, 'cm')), 'cm')).toBe(String(cm));
	});
	it('what is typed is off by less than a hundredth of a cm or kg, or is the whole cm that was meant', () => {
		as({ units: 'imperial' });
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 5000 }).map((n) => n / 20),
				(n) => {
					expect(Math.abs(Number(typedMetric(String(n), 'kg')) - n * 0.45359237)).toBeLessThan(0.0051);
					const cm = Number(typedMetric(String(n), 'cm'));
					const meant = Number.isInteger(cm) && inUnits(cm, 'cm') === n;
					expect(meant || Math.abs(cm - n * 2.54) < 0.0051).toBe(true);
				}
			)
		);
	});
});

describe('a change of a length', () => {
	const dial = (of: string, from: number, to: number): string =>
		changeText({
			...{ kind: 'dial', dial: 'depth', from, to },
			result: { step: 'free-hinge', dose: { ...dose, target: dose }, setup: { [of]: to } }
		} as unknown as ProposedChange);
	it('is said in what the length is measured in: a bow in degrees, a handle in cm or inches', () => {
		expect([dial('bowDeg', 40, 34), dial('thighDeg', 70, 62), dial('handleCm', 50, 56)]).toEqual([
			'bow 40° to 34°',
			'depth 70° to 62° thigh',
			'handle 50 to 56 cm'
		]);
		as({ units: 'imperial' });
		expect([dial('bowDeg', 40, 34), dial('handleCm', 50, 56)]).toEqual([
			'bow 40° to 34°',
			'handle 19.7 to 22 in'
		]);
	});
});

describe('days', () => {
	it('have the month first where the practice writes so, and are read back', () => {
		expect([shortDay('2026-03-12'), longDay('2026-03-12')]).toEqual(['Thu 12 Mar', 'Thu 12 Mar 2026']);
		as({ dateOrder: 'month-day' });
		expect([shortDay('2026-03-12'), longDay('2026-03-12')]).toEqual(['Thu Mar 12', 'Thu Mar 12, 2026']);
		for (const text of [shortDay('2026-03-12'), longDay('2026-03-12')])
			expect(typedDay(text, '2026-01-01', 'month-day')).toBe('2026-03-12');
	});
});

describe('what a practice set', () => {
	it('is taken as far as it is known', () => {
		expect(writtenAs('imperial', 'month-day')).toEqual({ units: 'imperial', dateOrder: 'month-day' });
		expect([writtenAs(undefined, undefined), writtenAs('cubits', 'year-first')]).toEqual([
			AS_USUAL,
			AS_USUAL
		]);
	});
});
