/** Change that matters and symmetry, against published rules and worked examples 3, 7, 9 and 13 (from memory, sources in the rules). */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	ACTIVITY_CHANGES,
	ACTIVITY_MEAN_CHANGES,
	PAIN_CHANGES,
	painChangesFor,
	painPopulations,
	SYMMETRY_CHANGES,
	TEST_CHANGES
} from '../../catalogue/change-rules.ts';
import { questionnaire, QUESTIONNAIRES } from '../../catalogue/questionnaires.ts';
import { activityMean } from '../client/goal.ts';
import { changeOf, detectable90, detectable95, standardError, type Change } from './change.ts';
import { acceptTotal, hundredIsBest, percentOfAnswered, totalChange } from './questionnaire.ts';
import { againstBefore, limbSymmetry, sideShare, symmetryRules } from './symmetry.ts';

const pain = (from: number, to: number, population?: string): Change =>
	changeOf({ from, to, better: 'lower' }, PAIN_CHANGES, population);
const met = (c: Change, rule: string): boolean => c.rules.find((r) => r.rule === rule)?.met === true;

describe('worked example 7: is the change important?', () => {
	it.each([
		[6, 4, true, true, true, true, true],
		[9, 7, true, false, true, true, false],
		[7, 5, true, false, true, true, false],
		[3, 2, false, true, false, false, true],
		[5, 3.5, false, true, false, false, false]
	])(
		'%d → %d by Farrar raw and per cent, back 2 points, Salaffi raw and per cent',
		(from, to, raw, percent, back, much, muchPercent) => {
			const c = pain(from, to);
			expect([
				met(c, 'farrar-raw'),
				met(c, 'farrar-percent'),
				met(c, 'back-2'),
				met(c, 'salaffi-much'),
				met(c, 'salaffi-much-percent')
			]).toEqual([raw, percent, back, much, muchPercent]);
			expect(c.direction).toBe('better');
			expect(met(c, 'salaffi-slightly')).toBe(from - to >= 1);
		}
	);
	it.each([
		[
			'knee-left',
			true,
			false,
			['front-of-knee-1.2', 'front-of-knee-2', 'outpatients-small'],
			['back-2', 'farrar-raw']
		],
		[
			'knee-left',
			false,
			false,
			['outpatients-small', 'salaffi-much'],
			['front-of-knee-1.2', 'back-2', 'farrar-raw']
		],
		['back', true, false, ['back-2', 'outpatients-small'], ['front-of-knee-1.2', 'farrar-raw']],
		[
			'hip-right',
			true,
			true,
			['farrar-raw', 'immpact-moderate', 'salaffi-much'],
			['front-of-knee-2', 'back-2']
		]
	])(
		'%s, front of the knee %s, long-standing %s: the rules of its populations and no others',
		(region, frontOfKnee, longStanding, held, left) => {
			const ids = painChangesFor(painPopulations(region, { frontOfKnee, longStanding })).map((r) => r.id);
			expect(ids).toEqual(expect.arrayContaining(held));
			for (const id of left) expect(ids).not.toContain(id);
			expect(new Set(ids).size).toBe(ids.length);
		}
	);
	it('from nothing to 2: per cent is undefined, and it is worse by 2', () => {
		const c = pain(0, 2);
		expect(c).toMatchObject({ percent: null, direction: 'worse', gain: -2 });
		expect(c.rules.filter((r) => r.of === 'percent' && r.met)).toEqual([]);
		expect(met(c, 'back-2')).toBe(true);
	});
	it('tiers of 29.9, 30 and 50 per cent (IMMPACT, Dworkin 2008)', () => {
		const tiers = (from: number, to: number): boolean[] =>
			['immpact-moderate', 'immpact-substantial'].map((r) => met(pain(from, to), r));
		expect(tiers(10, 7.01)).toEqual([false, false]);
		expect(tiers(10, 7)).toEqual([true, false]);
		expect(tiers(10, 5)).toEqual([true, true]);
	});
	it('the front of the knee has two rules that disagree at 1.5 (Piva 2009, Crossley 2004): both are given', () => {
		const c = pain(5, 3.5, 'front-of-knee');
		expect(c.rules.map((r) => [r.rule, r.met])).toEqual([
			['front-of-knee-1.2', true],
			['front-of-knee-2', false]
		]);
		expect(c.matters).toBe('some');
	});
	it('activities [3, 4, 5] → [5, 6, 8]: the mean changed really (Stratford 1995), one item of three did', () => {
		const [a, b] = [
			[3, 4, 5],
			[5, 6, 8]
		];
		const mean = changeOf(
			{ from: activityMean(a) as number, to: activityMean(b) as number, better: 'higher' },
			ACTIVITY_MEAN_CHANGES,
			'knee'
		);
		expect(mean.gain).toBeCloseTo(2.33, 2);
		expect(met(mean, 'mean-2')).toBe(true);
		expect(
			a.map((from, i) =>
				met(changeOf({ from, to: b[i] as number, better: 'higher' }, ACTIVITY_CHANGES), 'single-3')
			)
		).toEqual([false, false, true]);
		expect(
			[1.9, 2].map((g) =>
				met(changeOf({ from: 4, to: 4 + g, better: 'higher' }, ACTIVITY_MEAN_CHANGES), 'mean-2')
			)
		).toEqual([false, true]);
		expect(activityMean([])).toBeUndefined();
	});
	it('up and go 12.9 → 10.8 may matter and could be error: over 0.8–1.4 (Wright 2011), under 2.49 (Kennedy 2005)', () => {
		const c = changeOf({ from: 12.9, to: 10.8, better: 'lower' }, TEST_CHANGES['timed-up-and-go'] ?? []);
		expect(c).toMatchObject({ matters: 'all', beyondError: 'some', direction: 'better' });
		expect(met(c, 'up-and-go-error')).toBe(false);
		expect(
			met(
				changeOf({ from: 12.9, to: 10.41, better: 'lower' }, TEST_CHANGES['timed-up-and-go'] ?? []),
				'up-and-go-error'
			)
		).toBe(true);
	});
	it('55 m more in six minutes is substantial and still inside error (Perera 2006, Kennedy 2005)', () => {
		const c = changeOf({ from: 400, to: 455, better: 'higher' }, TEST_CHANGES['six-minute-walk'] ?? []);
		expect([met(c, 'six-minutes-substantial'), met(c, 'six-minutes-error')]).toEqual([true, false]);
	});
	it('five times: 2.5 s is not more than 2.5 s (Goldberg 2012)', () => {
		const gained = (to: number): boolean =>
			met(
				changeOf({ from: 15, to, better: 'lower' }, TEST_CHANGES['sit-to-stand-5x'] ?? []),
				'five-times-error'
			);
		expect([gained(12.5), gained(12.4)]).toEqual([false, true]);
	});
});

describe('worked example 9: knee to wall (Konor 2012, Powden 2015)', () => {
	const wall = (from: number, to: number, population = 'any'): Change =>
		changeOf({ from, to, better: 'higher' }, TEST_CHANGES['knee-to-wall'] ?? [], population);
	it('11.5 against 8.0 cm is beyond every error; 8 → 9 is inside the best of them; 8 → 10 beyond all', () => {
		expect(wall(8, 11.5).beyondError).toBe('all');
		expect(wall(8, 9).beyondError).toBe('none');
		expect(wall(8, 10).beyondError).toBe('all');
		expect(met(wall(8, 9.7, 'two testers'), 'wall-two')).toBe(true);
	});
	it('detectable change from the standard error: 0.4 cm → 1.11, 0.55 → 1.52 (textbook formulas)', () => {
		expect(detectable95(0.4)).toBeCloseTo(1.11, 2);
		expect(detectable95(0.55)).toBeCloseTo(1.52, 2);
		expect(detectable90(standardError(5, 0.91))).toBeCloseTo(2.326 * 1.5, 2);
	});
});

describe('worked example 3: limb symmetry (Noyes 1991, Reid 2007, Grindem 2016, Wellsandt 2017)', () => {
	it('85.7 % strength, 87.5 % hop, 93.75 % timed hop the right way up', () => {
		expect(limbSymmetry(1.98, 2.31, 'higher')).toBeCloseTo(85.7, 1);
		expect(limbSymmetry(112, 128, 'higher')).toBe(87.5);
		expect(limbSymmetry(2.24, 2.1, 'lower')).toBeCloseTo(93.75, 2);
	});
	it('all pass 85, strength and hop fail 90; 90 passes, 89.96 is not rounded up to it', () => {
		const passes = (i: number): boolean[] => symmetryRules(i).map((r) => r.met);
		expect(passes(85.7)).toEqual([true, false, false]);
		expect(passes(90)).toEqual([true, true, false]);
		expect(passes(89.96)).toEqual([true, false, false]);
		expect(passes(limbSymmetry(9, 10, 'higher') as number)).toEqual([true, true, false]);
	});
	it('95.5 % of the other leg can be 80.8 % of before; a zero side has no index', () => {
		expect(limbSymmetry(2.1, 2.2, 'higher')).toBeCloseTo(95.5, 1);
		expect(againstBefore(2.1, 2.6)).toBeCloseTo(80.8, 1);
		expect([limbSymmetry(1, 0, 'higher'), limbSymmetry(0, 1, 'lower'), sideShare(0, 3)]).toEqual([
			undefined,
			undefined,
			undefined
		]);
	});
	it('88 → 92 % of a single hop is inside its 8.1 (Reid 2007)', () => {
		expect(
			changeOf({ from: 88, to: 92, better: 'higher' }, [SYMMETRY_CHANGES['hop-single'] as never]).beyondError
		).toBe('none');
	});
	it('swapping sides, and other units, change nothing', () => {
		fc.assert(
			fc.property(
				fc.double({ min: 0.1, max: 500, noNaN: true }),
				fc.double({ min: 0.1, max: 500, noNaN: true }),
				fc.constantFrom(2.54, 0.4536, 60),
				(a, b, unit) => {
					expect(sideShare(a, b)).toBe(sideShare(b, a));
					expect(sideShare(a * unit, b * unit)).toBeCloseTo(sideShare(a, b) as number, 9);
					expect(limbSymmetry(a, b, 'higher')).toBeCloseTo(limbSymmetry(b, a, 'lower') as number, 9);
					expect(changeOf({ from: a, to: b, better: 'higher' }, []).gain).toBeCloseTo(
						-changeOf({ from: b, to: a, better: 'higher' }, []).gain,
						9
					);
				}
			),
			{ seed: 11, numRuns: 1000 }
		);
	});
});

describe('worked example 13: arithmetic of totals, no items', () => {
	it('18 of 9 answered sections is 40.0 %; a mean item of 1.25 is 68.75 of 100', () => {
		expect(percentOfAnswered(18, 9)).toEqual({ ok: true, value: 40 });
		expect(hundredIsBest(1.25)).toBe(68.75);
		expect(percentOfAnswered(46, 9)).toMatchObject({ ok: false });
		expect(percentOfAnswered(5, 0)).toMatchObject({ ok: false });
	});
	it('48 is best in the Oxford scores, a falling LEFS and a rising ODI are both worse', () => {
		const of = (id: string) => questionnaire(id) as NonNullable<ReturnType<typeof questionnaire>>;
		expect(totalChange(of('oks'), 20, 30).direction).toBe('better');
		expect(totalChange(of('lefs'), 60, 50)).toMatchObject({ direction: 'worse', beyondError: 'all' });
		expect(totalChange(of('odi'), 20, 32)).toMatchObject({ direction: 'worse', matters: 'all' });
		expect(totalChange(of('lefs'), 50, 58).matters).toBe('none');
		expect(totalChange(of('lefs'), 50, 59).matters).toBe('all');
	});
	it('a total outside its range is refused with the range, for every questionnaire', () => {
		for (const q of QUESTIONNAIRES) {
			expect(acceptTotal(q, q.range[0]).ok && acceptTotal(q, q.range[1]).ok, q.id).toBe(true);
			expect(
				[acceptTotal(q, q.range[0] - 1).ok, acceptTotal(q, q.range[1] + 1).ok, acceptTotal(q, NaN).ok],
				q.id
			).toEqual([false, false, false]);
		}
	});
});
