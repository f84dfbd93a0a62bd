/** Dosing schools against their tables. */
import { describe, expect, it } from 'vitest';
import {
	doseText,
	doseVolume,
	gentlerDose,
	nextDose,
	nextLoad,
	retryDose,
	type PrescribedDose
} from './dose.ts';

const dose = (
	sets: number,
	reps: number,
	loadKg = 0,
	school: PrescribedDose['school'] = 'sets-first'
): PrescribedDose => ({ school, sets, reps, loadKg, target: { sets: 3, reps: 10 } });

function ladder(from: PrescribedDose, rack?: readonly number[]): string[] {
	const out: string[] = [];
	for (let d: PrescribedDose | null = from; d !== null && out.length < 30; d = nextDose(d, rack))
		out.push(`${d.sets}×${d.reps}${d.loadKg ? `@${d.loadKg}` : ''}`);
	return out;
}

describe('sets first (common practice)', () => {
	it('10 feels good → 2×10 → 3×10, then the step is complete', () => {
		expect(ladder(dose(1, 10))).toEqual(['1×10', '2×10', '3×10']);
	});
	it('learning starts at 5 and goes 8, 10 before sets', () => {
		expect(ladder(dose(1, 5))).toEqual(['1×5', '1×8', '1×10', '2×10', '3×10']);
	});
	it('many short sets grow into fewer longer ones, and never shrink in all', () => {
		const short = { ...dose(5, 2), target: { sets: 3, reps: 5 } };
		expect(ladder(short)).toEqual(['5×2', '4×3', '3×5']);
	});
	it('a gentler dose takes a set, else about two fifths of the repetitions, and never less than 3', () => {
		expect(gentlerDose(dose(3, 10))).toMatchObject({ sets: 2, reps: 10 });
		expect(gentlerDose(dose(1, 10))).toMatchObject({ sets: 1, reps: 6 });
		expect(gentlerDose(dose(1, 3))).toBeNull();
	});
	it('a retry is 60 % of the work', () => {
		expect(doseVolume(retryDose(dose(3, 10)))).toBeLessThanOrEqual(18);
		expect(doseVolume(retryDose(dose(2, 10)))).toBe(10);
		expect(doseVolume(retryDose(dose(1, 5)))).toBe(3);
	});
});

describe('rounds (common practice)', () => {
	const round = (sets: number, reps: number): PrescribedDose => dose(sets, reps, 0, 'rounds');
	it('repetitions to their target, then one round, three, five', () => {
		expect(ladder(round(1, 5))).toEqual(['1×5', '1×8', '1×10', '3×10', '5×10']);
		expect(ladder(round(2, 10))).toEqual(['2×10', '3×10', '5×10']);
	});
	it('gentler is the rounds before, then fewer repetitions', () => {
		expect(gentlerDose(round(5, 10))).toMatchObject({ sets: 3, reps: 10 });
		expect(gentlerDose(round(4, 10))).toMatchObject({ sets: 3 });
		expect(gentlerDose(round(3, 10))).toMatchObject({ sets: 1, reps: 10 });
		expect(gentlerDose(round(1, 10))).toMatchObject({ sets: 1, reps: 6 });
	});
	it('is said as rounds', () => {
		expect(doseText(round(3, 10))).toBe('3 rounds of 10');
		expect(doseText(round(1, 10))).toBe('1 round of 10');
		expect(doseText(dose(3, 10))).toBe('3×10');
	});
});

describe('double progression (ACSM 2009: 2–10 % a step; from memory)', () => {
	it('50 kg with 2.5 kg steps goes to 52.5, inside 2–10 %', () => {
		expect(nextLoad(50, [45, 50, 52.5, 55, 60])).toBe(52.5);
	});
	it('6 kg with a 7 kg neighbour is +16.7 %: repetitions instead of a jump', () => {
		expect(nextLoad(6, [6, 7, 8])).toBeUndefined();
		expect(nextDose(dose(3, 10, 6, 'double-progression'), [6, 7, 8])).toMatchObject({ reps: 11, loadKg: 6 });
	});
	it('reps to the top on every set, then the load with reps back at the bottom', () => {
		expect(ladder(dose(3, 9, 20, 'double-progression'), [20, 21])).toEqual([
			'3×9@20',
			'3×10@20',
			'3×8@21',
			'3×9@21',
			'3×10@21',
			'3×11@21',
			'3×12@21',
			'3×13@21',
			'3×14@21',
			'3×15@21'
		]);
	});
	it('exactly 2 % and exactly 10 % are inside', () => {
		expect(nextLoad(50, [51])).toBe(51);
		expect(nextLoad(50, [55])).toBe(55);
		expect(nextLoad(50, [50.9, 55.1])).toBeUndefined();
	});
});
