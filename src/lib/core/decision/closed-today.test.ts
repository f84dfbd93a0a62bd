/** What a day closes, by its card and by pressure at rest. @source acsm-2015 180/110 and 200/110 (from memory): past them, not at them */
import { describe, expect, it } from 'vitest';
import { FAMILIES } from '../../catalogue/families.ts';
import { answerOf, closedToday, HEAVY_OR_HELD, withPressure } from './closed-today.ts';

const ANY = { region: 'knee-right', tags: [] };
const HELD = { region: 'knee-right', tags: ['long-hold'] as const };
const CARD = { closes: ['back'], setsShare: 0.6, reasons: [{ code: 'pain' as const, region: 'back' }] };

describe('pressure at rest binds its day', () => {
	it.each([
		[180, 110, 0, 0],
		[181, 110, 1, 0],
		[180, 111, 1, 1],
		[200, 110, 1, 0],
		[201, 80, 1, 1],
		[120, 111, 1, 1]
	])('%i/%i closes what is held: %i, everything: %i', (systolic, diastolic, held, all) => {
		const bound = withPressure(undefined, { systolic, diastolic });
		expect(closedToday(bound, HELD)).toHaveLength(held);
		expect(closedToday(bound, ANY)).toHaveLength(all);
	});
	it('adds to what the card closed, and never opens it', () => {
		const bound = withPressure(CARD, { systolic: 190, diastolic: 80 });
		expect(closedToday(bound, { region: 'back', tags: [] })).toContainEqual({ code: 'pain', region: 'back' });
		expect(closedToday(bound, HELD)).toEqual([{ code: 'pressure', value: 190 }]);
		expect(bound?.setsShare).toBe(0.6);
		expect(withPressure(CARD, { systolic: 120, diastolic: 80 })).toBe(CARD);
		expect(withPressure(CARD, { systolic: 210 })).toMatchObject({
			closes: 'day',
			setsShare: 0,
			clean: false
		});
		expect(closedToday(undefined, HELD)).toEqual([]);
		// A reading that is told but raised nothing closes nothing.
		const told = { reasons: [{ code: 'pressure' as const, value: 150 }], easyOnly: false };
		expect(closedToday(told, HELD)).toEqual([]);
	});
	it('without a number, the lower pressure alone is enough', () => {
		expect(withPressure(undefined, { diastolic: 115 })?.reasons).toEqual([{ code: 'pressure' }]);
		expect(withPressure(undefined, {})).toBeUndefined();
	});
	it('what is heavy or held is on steps of the catalogue', () => {
		const steps = Object.values(FAMILIES).flatMap((f) => f.steps);
		for (const tag of HEAVY_OR_HELD) expect(steps.some((s) => s.tags.includes(tag))).toBe(true);
	});
});

describe('a day in one word', () => {
	it('nothing where every region is closed, less where one is, or the work is lighter or only easy', () => {
		const two = ['back', 'knee-right'];
		expect(answerOf({ closes: 'day' }, two)).toBe('not-today');
		expect(answerOf({ closes: two }, two)).toBe('not-today');
		expect(answerOf({ closes: ['back'] }, two)).toBe('lighter');
		expect(answerOf({ closes: [], setsShare: 0.6 }, two)).toBe('lighter');
		expect(answerOf({ closes: [], easyOnly: true }, two)).toBe('lighter');
		expect(answerOf({ closes: [], setsShare: 1, easyOnly: false }, two)).toBeUndefined();
		expect(answerOf({ closes: [] }, [])).toBeUndefined();
		expect(answerOf(undefined, two)).toBeUndefined();
	});
});
