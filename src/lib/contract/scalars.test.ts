/** Every scalar that a hand can type is checked in one place each: whole where its column is whole, a day that a person can have lived or will see. */
import { describe, expect, it } from 'vitest';
import { complaintForm } from './ask-form.ts';
import { day, typedWhole } from './basics.ts';
import { SESSION_SCORES, sessionShape, type SessionScore } from './session-fields.ts';

describe('days', () => {
	it.each(['0000-01-01', '1899-12-31', '2200-01-01', '2026-02-30', '2026-13-01', '12026-01-01', ''])(
		'%s is none',
		(text) => expect(day.safeParse(text).success).toBe(false)
	);
	it.each(['1900-01-01', '2024-02-29', '2199-12-31'])('%s is one', (text) =>
		expect(day.safeParse(text).success).toBe(true)
	);
});

describe('whole numbers', () => {
	const minutes = typedWhole('Minutes', 0, 60, 'min');
	it('are whole: 12.5 and 7,5 are refused with the bounds, 12 and 12.0 are not', () => {
		for (const text of ['12.5', '7,5', '0.1'])
			expect(minutes.safeParse(text).error?.issues[0]?.message).toContain('whole number');
		expect(['12', '12.0', ''].map((t) => minutes.safeParse(t).data)).toEqual([12, 12, undefined]);
	});
	it('every score of a session is one', () => {
		for (const name of Object.keys(SESSION_SCORES) as SessionScore[]) {
			expect(sessionShape[name].safeParse('2.5').success, name).toBe(false);
			expect(sessionShape[name].safeParse('2').success, name).toBe(true);
		}
	});
	it('so is stiffness in the morning', () => {
		const { shape } = complaintForm;
		expect([
			shape.stiffnessMin.safeParse('12.5').success,
			shape.stiffnessMin.safeParse('12').success
		]).toEqual([false, true]);
	});
});
