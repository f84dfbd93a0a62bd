/**
 * Norms against published tables, written out a second time from memory of the papers (references named beside each; none checked
 * against the paper): every cell, every boundary, and no label outside a table.
 */
import { describe, expect, it } from 'vitest';
import {
	CHAIR_STAND,
	FIVE_TIMES,
	GAIT_SPEED,
	ONE_LEG_CLOSED,
	ONE_LEG_OPEN,
	UP_AND_GO
} from '../../catalogue/norms.ts';
import { FUNCTION_TESTS, testSpec } from '../../catalogue/function-tests.ts';
import {
	balancePoints,
	chairPoints,
	derived,
	forwardReachDifference,
	gaitPoints,
	judgeTest,
	predictedWalk,
	reachComposite,
	scored,
	stairPower,
	type TestPerson,
	type TestSpec
} from './function-test.ts';
import { adductorShare, fallsScreen, shortBattery, trunkImbalance } from './together.ts';
import { conflicting, leaning, NO_NORM, readNorm, type Norm } from './norm.ts';
import type { Sex } from './range-kind.ts';

const person = (age: number, sex: Sex | null, patch: Partial<TestPerson> = {}): TestPerson => ({
	age,
	sex,
	heightCm: 170,
	massKg: 70,
	...patch
});
const norm = (of: readonly Norm[], id: string): Norm => of.find((n) => n.id === id) as Norm;
const spec = (id: string): TestSpec => testSpec(id) as TestSpec;
const classOf = (id: string, value: number, who: TestPerson, normId: string, extras = {}): string =>
	judgeTest(spec(id), value, extras, who).readings.find((r) => r.norm === normId)?.class ?? 'no such norm';

/** Rikli & Jones 1999 (25th–75th percentile) beside CDC STEADI (below average is strictly less): age, women, men. */
const TABLE = [
	[60, 64, [12, 17], [14, 19], 12, 14],
	[65, 69, [11, 16], [12, 18], 11, 12],
	[70, 74, [10, 15], [12, 17], 10, 12],
	[75, 79, [10, 15], [11, 17], 10, 11],
	[80, 84, [9, 14], [10, 15], 9, 10],
	[85, 89, [8, 13], [8, 14], 8, 8],
	[90, 94, [4, 11], [7, 12], 4, 7]
] as const;

describe('the chair-stand table, cell by cell', () => {
	const cut = norm(CHAIR_STAND, 'chair-stand-cut');
	const range = norm(CHAIR_STAND, 'chair-stand-range');
	it.each(TABLE)(
		'%i–%i years: both ends of the band, both sexes, the cut itself is not below',
		(low, high, women, men, womenCut, menCut) => {
			for (const age of [low, high])
				for (const [sex, band, line] of [
					['female', women, womenCut],
					['male', men, menCut]
				] as const) {
					const who = person(age, sex);
					expect(readNorm(cut, line, who)).toMatchObject({ class: 'not-below-average', against: line });
					expect(readNorm(cut, line - 1, who).class).toBe('below-average');
					expect(readNorm(range, band[0], who)).toMatchObject({ class: 'average', against: band });
					expect(readNorm(range, band[0] - 1, who).class).toBe('below-average');
					expect(readNorm(range, band[1], who).class).toBe('average');
					expect(readNorm(range, band[1] + 1, who).class).toBe('above-average');
				}
		}
	);
	it('each STEADI cut is the lower end of the Rikli & Jones band of the same cell, all fourteen', () => {
		let cells = 0;
		for (let age = 60; age <= 94; age += 5)
			for (const sex of ['female', 'male'] as const) {
				const [a, b] = [
					readNorm(cut, 0, person(age, sex)).against,
					readNorm(range, 0, person(age, sex)).against as readonly [number, number]
				];
				expect(a).toBe(b[0]);
				cells++;
			}
		expect(cells).toBe(14);
	});
	it('59 and 95 years have no norm, and an unknown sex is not picked silently', () => {
		for (const age of [18, 59, 95, 110])
			expect(readNorm(cut, 12, person(age, 'female'))).toMatchObject({
				class: NO_NORM,
				why: 'age',
				against: null
			});
		expect(readNorm(cut, 12, person(72, null))).toMatchObject({ class: NO_NORM, why: 'sex-unknown' });
	});
	it('arms used score nothing, which is below average', () => {
		expect(scored(spec('chair-stand-30s'), 14, { hands: 1 })).toBe(0);
		expect(classOf('chair-stand-30s', 14, person(72, 'female'), 'chair-stand-cut', { hands: 1 })).toBe(
			'below-average'
		);
		expect(classOf('chair-stand-30s', 14, person(72, 'female'), 'chair-stand-cut')).toBe('not-below-average');
	});
});

describe('worked example 5: a falls screen (CDC STEADI; Guralnik 1994)', () => {
	const woman = person(72, 'female');
	it('a woman of 72 with 9 rises, 12.0 s and 9.4 s of tandem is positive three times', () => {
		expect(classOf('chair-stand-30s', 9, woman, 'chair-stand-cut')).toBe('below-average');
		expect(classOf('timed-up-and-go', 12, woman, 'up-and-go-12')).toBe('at-risk');
		expect(classOf('four-stage-balance', 9.4, woman, 'tandem-10')).toBe('at-risk');
	});
	it('the probes: 10 rises, a man with 11 and 12, 11.9 s, 10 s of tandem', () => {
		expect(classOf('chair-stand-30s', 10, woman, 'chair-stand-cut')).toBe('not-below-average');
		expect(classOf('chair-stand-30s', 11, person(72, 'male'), 'chair-stand-cut')).toBe('below-average');
		expect(classOf('chair-stand-30s', 12, person(72, 'male'), 'chair-stand-cut')).toBe('not-below-average');
		expect(classOf('timed-up-and-go', 11.9, woman, 'up-and-go-12')).toBe('not-at-risk');
		expect(classOf('four-stage-balance', 9.9, woman, 'tandem-10')).toBe('at-risk');
		expect(classOf('four-stage-balance', 10, woman, 'tandem-10')).toBe('not-at-risk');
	});
	it('short-battery points: 4 + 3 + 2 = 9, and every edge of every part', () => {
		expect(balancePoints(10, 10, 10) + gaitPoints(5) + chairPoints(14)).toBe(9);
		expect([11.19, 11.2, 13.69, 13.7, 16.69, 16.7, 60, 60.01, undefined].map(chairPoints)).toEqual([
			4, 3, 3, 2, 2, 1, 1, 0, 0
		]);
		expect([4.81, 4.82, 6.2, 6.21, 8.7, 8.71, undefined].map(gaitPoints)).toEqual([4, 3, 3, 2, 2, 1, 0]);
		expect(
			[
				[9.9, 10, 10],
				[10, 9.9, 10],
				[10, 10, 2.99],
				[10, 10, 3],
				[10, 10, 9.99],
				[10, 10, 10]
			].map(([a, b, c]) => balancePoints(a as number, b as number, c as number))
		).toEqual([0, 1, 2, 3, 3, 4]);
	});
});

describe('tests together', () => {
	it('example 5: three positives of three; one is enough; what was not taken is not counted', () => {
		expect(fallsScreen({ chairStand: 'below-average', upAndGo: 'at-risk', tandem: 'at-risk' })).toEqual({
			positive: ['chair-stand', 'up-and-go', 'tandem'],
			taken: 3,
			answer: 'falls-pathway'
		});
		expect(fallsScreen({ chairStand: 'not-below-average', upAndGo: 'at-risk' })).toMatchObject({
			answer: 'falls-pathway',
			taken: 2
		});
		expect(
			fallsScreen({ chairStand: 'not-below-average', upAndGo: 'not-at-risk', tandem: 'not-at-risk' }).answer
		).toBe('no-sign');
		expect(fallsScreen({ chairStand: 'no-norm' }).answer).toBe('not-taken');
	});
	it('the short battery is 9 for the example, poor from 8 down, and nothing while a part is missing', () => {
		const parts = { sideBySideSec: 10, semiTandemSec: 10, tandemSec: 10, gaitSec: 5, chairSec: 14 };
		expect(shortBattery(parts)).toEqual({ total: 9, poor: false });
		expect(shortBattery({ ...parts, chairSec: 17 })).toEqual({ total: 8, poor: true });
		const { gaitSec: _, ...rest } = parts;
		expect(shortBattery(rest)).toBeUndefined();
	});
	it('trunk ratios: sides 0.95 to 1.05 inclusive are even, front over back and side over 0.75 are not (McGill)', () => {
		expect(trunkImbalance({ backSec: 100, frontSec: 100, leftSec: 75, rightSec: 75 })).toEqual([]);
		expect(trunkImbalance({ leftSec: 95, rightSec: 100 })).toEqual([]);
		expect(trunkImbalance({ leftSec: 105, rightSec: 100 })).toEqual([]);
		expect(trunkImbalance({ leftSec: 94, rightSec: 100 }).map((x) => x.sign)).toEqual(['sides-differ']);
		expect(
			trunkImbalance({ backSec: 100, frontSec: 101, leftSec: 76, rightSec: 76 }).map((x) => x.sign)
		).toEqual(['flexion-over-extension', 'side-over-extension']);
	});
	it('adductors at 80 % of abductors pass, at 79.9 not (Tyler 2001)', () => {
		expect([adductorShare(80, 100)?.low, adductorShare(79.9, 100)?.low, adductorShare(0, 100)]).toEqual([
			false,
			true,
			undefined
		]);
	});
});

describe('boundaries of published cut-offs (§ boundary conventions)', () => {
	const five = (v: number, age: number, id: string): string =>
		readNorm(norm(FIVE_TIMES, id), v, person(age, 'female')).class;
	it('five times: 11.4 is average at 68, 11.5 worse (Bohannon 2006); 12 and 15 by their own signs', () => {
		expect(five(11.4, 68, 'five-times-2006')).toBe('not-worse-than-average');
		expect(five(11.5, 68, 'five-times-2006')).toBe('worse-than-average');
		expect([five(12, 80, 'five-times-falls-12'), five(12.01, 80, 'five-times-falls-12')]).toEqual([
			'not-at-risk',
			'further-assessment'
		]);
		expect([five(14.99, 80, 'five-times-falls-15'), five(15, 80, 'five-times-falls-15')]).toEqual([
			'not-at-risk',
			'at-risk'
		]);
		expect([five(15, 80, 'five-times-low-strength'), five(15.01, 80, 'five-times-low-strength')]).toEqual([
			'not-low',
			'low'
		]);
		expect([
			five(11.99, 80, 'five-times-low-strength-asia'),
			five(12, 80, 'five-times-low-strength-asia')
		]).toEqual(['not-low', 'low']);
		expect(five(10, 90, 'five-times-2006')).toBe(NO_NORM);
	});
	it('up and go: 13.0 s is at risk by one source and not by another, and the conflict is shown', () => {
		const judged = judgeTest(spec('timed-up-and-go'), 13, {}, person(75, 'female'));
		expect(judged.readings.find((r) => r.norm === 'up-and-go-12')?.class).toBe('at-risk');
		expect(judged.readings.find((r) => r.norm === 'up-and-go-13.5')?.class).toBe('not-at-risk');
		expect(judged.conflict).toBe(true);
		const mean = (age: number, v: number): string =>
			readNorm(norm(UP_AND_GO, 'up-and-go-mean'), v, person(age, null)).class;
		expect([
			mean(65, 9),
			mean(65, 9.1),
			mean(75, 10.2),
			mean(75, 10.3),
			mean(85, 12.7),
			mean(85, 12.8)
		]).toEqual(['average', 'below-average', 'average', 'below-average', 'average', 'below-average']);
		expect(
			[9.9, 10, 19.9, 20, 31].map((v) => classOf('timed-up-and-go', v, person(80, 'male'), 'up-and-go-bands'))
		).toEqual(['freely-mobile', 'mostly-independent', 'mostly-independent', 'needs-help', 'needs-help']);
	});
	it('lateral step-down 0–1, 2–3, 4 and more (Piva 2006), and the same score in two classes (Rabin 2010)', () => {
		expect(
			[0, 1, 2, 3, 4, 6].map((v) => classOf('lateral-step-down', v, person(30, 'male'), 'step-down-three'))
		).toEqual(['good', 'good', 'medium', 'medium', 'poor', 'poor']);
		expect([1, 2].map((v) => classOf('lateral-step-down', v, person(30, 'male'), 'step-down-two'))).toEqual([
			'good',
			'not-good'
		]);
	});
	it('single-leg bridge: under 20 poor, over 30 good, and the gap between is said to be between', () => {
		expect(
			[19, 20, 25, 30, 31].map((v) => classOf('single-leg-bridge', v, person(25, 'male'), 'hamstring-bridge'))
		).toEqual(['poor', 'between', 'between', 'between', 'good']);
	});
	it('back extensor hold in men 30–60: under 176 s, 176–198 neither, over 198 (Biering-Sørensen 1984); no norm for women', () => {
		const back = (v: number, sex: Sex, age = 40): string =>
			classOf('trunk-back', v, person(age, sex), 'back-hold-danish');
		expect([175, 176, 198, 199].map((v) => back(v, 'male'))).toEqual([
			'at-risk',
			'between',
			'between',
			'not-at-risk'
		]);
		expect([back(180, 'female'), back(180, 'male', 61)]).toEqual([NO_NORM, NO_NORM]);
	});
	it('hip strength at 35.4 % of body weight is still at risk (Khayambashi 2016); 3.0 N·m/kg is not low (Pietrosimone 2016)', () => {
		const newtons = (percent: number): number => (percent / 100) * 70 * 9.81;
		expect(
			classOf('strength-hip-abduction', newtons(35.4), person(25, 'female'), 'hip-abduction-35.4', {
				leverCm: 40
			})
		).toBe('at-risk');
		expect(
			classOf('strength-hip-abduction', newtons(35.5), person(25, 'female'), 'hip-abduction-35.4', {
				leverCm: 40
			})
		).toBe('not-at-risk');
		expect(
			classOf('strength-knee-extension', 525, person(25, 'female'), 'knee-torque-3', { leverCm: 40 })
		).toBe('not-low');
		expect(
			classOf('strength-knee-extension', 524, person(25, 'female'), 'knee-torque-3', { leverCm: 40 })
		).toBe('low');
		expect(
			judgeTest(spec('strength-knee-extension'), 525, {}, person(25, 'female')).readings[0]
		).toMatchObject({ class: NO_NORM, why: 'not-derived' });
	});
	it('usual pace of 0.80 m/s is low by the European line, 0.99 by the Asian (EWGSOP2, AWGS 2019)', () => {
		const gait = (sec: number, id: string): string =>
			readNorm(
				norm(GAIT_SPEED, id),
				derived(spec('gait-4m'), sec, {}, person(70, 'male')).speed,
				person(70, 'male')
			).class;
		expect([
			gait(5, 'gait-low'),
			gait(4.99, 'gait-low'),
			gait(4, 'gait-low-asia'),
			gait(4.01, 'gait-low-asia')
		]).toEqual(['low', 'not-low', 'not-low', 'low']);
	});
	it('heel rise of a man of 65 with 10: under one table, over another (Hébert-Losier 2017, Jan 2005): shown as a conflict', () => {
		const judged = judgeTest(spec('heel-rise'), 10, {}, person(65, 'male'));
		expect(judged.conflict).toBe(true);
		expect(judged.readings.find((r) => r.norm === 'heel-rise-25')).toMatchObject({
			class: NO_NORM,
			why: 'age'
		});
		expect([24, 25].map((v) => classOf('heel-rise', v, person(40, 'female'), 'heel-rise-25'))).toEqual([
			'below-average',
			'not-below-average'
		]);
	});
});

describe('balance and gait tables', () => {
	it('one-leg stance falls with age and stops at its 45 s clock (Springer 2007)', () => {
		const total = (age: number): number =>
			(['female', 'male'] as const).reduce(
				(s, sex) => s + (readNorm(ONE_LEG_OPEN[0] as Norm, 1, person(age, sex)).against as number),
				0
			);
		const ages = [30, 45, 55, 65, 75, 85].map(total);
		expect(ages.every((v, i) => i === 0 || v < (ages[i - 1] as number))).toBe(true);
		expect(scored(spec('one-leg-open'), 61, {})).toBe(45);
		expect(readNorm(ONE_LEG_CLOSED[0] as Norm, 9, person(72, 'female'))).toMatchObject({
			class: 'better-than-the-mean',
			against: 3.7
		});
		expect([4.99, 5].map((v) => classOf('one-leg-open', v, person(75, 'male'), 'one-leg-5'))).toEqual([
			'at-risk',
			'not-at-risk'
		]);
	});
	it('comfortable speed by age and sex to three decimals (Bohannon & Williams Andrews 2011)', () => {
		const speed = (age: number, sex: Sex): unknown =>
			readNorm(norm(GAIT_SPEED, 'gait-comfortable'), 1, person(age, sex)).against;
		expect([25, 35, 45, 55, 65, 75, 85].map((a) => speed(a, 'male'))).toEqual([
			1.358, 1.433, 1.434, 1.433, 1.339, 1.262, 0.968
		]);
		expect([25, 35, 45, 55, 65, 75, 85].map((a) => speed(a, 'female'))).toEqual([
			1.341, 1.337, 1.39, 1.313, 1.241, 1.132, 0.943
		]);
	});
});

describe('worked example 14 and its neighbours', () => {
	it('six-minute walk: 455.5 m for her, 520.0 m for him, and no prediction outside 40–80 (Enright & Sherrill 1998)', () => {
		const her = predictedWalk({ age: 68, sex: 'female', heightCm: 162, massKg: 70 });
		const him = predictedWalk({ age: 70, sex: 'male', heightCm: 175, massKg: 82 });
		expect(her?.metres).toBeCloseTo(455.48, 1);
		expect(her?.lowerLimit).toBeCloseTo(316.48, 1);
		expect(him?.metres).toBeCloseTo(520.03, 1);
		expect(him?.lowerLimit).toBeCloseTo(367.03, 1);
		expect([39, 81].map((age) => predictedWalk(person(age, 'male')))).toEqual([undefined, undefined]);
		expect(predictedWalk(person(60, null))).toBeUndefined();
		const low = (metres: number): string =>
			classOf(
				'six-minute-walk',
				metres,
				person(68, 'female', { heightCm: 162, massKg: 70 }),
				'six-minutes-lower-limit'
			);
		expect([low(316), low(317)]).toEqual(['low', 'not-low']);
	});
	it('40 m in 28.4 s is 1.408 m/s; 4 m in 5.0 s is 0.80; 70 kg up 1.8 m in 6.2 s is 199.4 W', () => {
		expect(derived(spec('walk-40m'), 28.4, {}, person(60, 'male')).speed).toBeCloseTo(1.408, 3);
		expect(derived(spec('gait-4m'), 5, {}, person(60, 'male')).speed).toBe(0.8);
		expect(stairPower(70, 1.8, 6.2)).toBeCloseTo(199.4, 1);
		expect(
			derived(spec('stair-climb'), 20, { steps: 10, riseCm: 18, upSec: 6.2 }, person(60, 'male')).power
		).toBeCloseTo(199.4, 1);
		expect(derived(spec('stair-climb'), 20, { steps: 10 }, person(60, 'male')).power).toBeUndefined();
	});
});

describe('worked example 4: reach in three directions (Plisky 2006; Smith 2015)', () => {
	it('95.45 % and 98.86 %, forward 5 cm apart: composites pass, the difference does not', () => {
		expect(reachComposite(60, 98, 94, 88)).toBeCloseTo(95.45, 2);
		expect(reachComposite(65, 99, 97, 88)).toBeCloseTo(98.86, 2);
		expect(forwardReachDifference(60, 65)).toEqual({ cm: 5, plisky: true, smith: true });
	});
	it('exactly 4.0 cm is flagged by one source and not the other; 4.1 by both; each leg has its own length', () => {
		expect(forwardReachDifference(61.2, 65.2)).toEqual({ cm: 4, plisky: false, smith: true });
		expect(forwardReachDifference(61, 65.1)).toMatchObject({ plisky: true, smith: true });
		expect(reachComposite(65, 99, 97, 90)).toBeCloseTo(96.67, 2);
		const judged = (v: number): string =>
			classOf('reach', v, person(20, 'female'), 'reach-composite-94', {
				posteromedial: 94,
				posterolateral: 94,
				limbCm: 100
			});
		expect([judged(94), judged(93.9)]).toEqual(['not-low', 'low']);
	});
});

describe('the catalogue of tests', () => {
	it('every norm has an id of its own, a source and a population; every class leans or is known not to', () => {
		const norms = FUNCTION_TESTS.flatMap((t) => t.norms);
		expect(new Set(norms.map((n) => n.id)).size).toBe(norms.length);
		expect(norms.every((n) => n.source !== '' && n.population !== '')).toBe(true);
		expect(leaning('between')).toBeNull();
	});
	it('rows of a table neither overlap nor leave a year out', () => {
		for (const n of FUNCTION_TESTS.flatMap((t) => t.norms)) {
			const ages = n.rows.flatMap((r) => (r.ages === undefined ? [] : [r.ages]));
			for (const [i, a] of ages.entries()) {
				expect(a[0], n.id).toBeLessThanOrEqual(a[1]);
				if (i > 0) expect(a[0], n.id).toBe((ages[i - 1]?.[1] ?? 0) + 1);
			}
		}
	});
	it('a worse reading never turns a worse class into a better one', () => {
		for (const t of FUNCTION_TESTS)
			for (const n of t.norms.filter((x) => x.of === undefined)) {
				const who = person(72, 'male');
				const steps = Array.from(
					{ length: 40 },
					(_, i) => t.possible[0] + ((t.possible[1] - t.possible[0]) * i) / 39
				);
				const order = t.better === 'higher' ? steps : steps.reverse();
				const lean = order.map((v) => leaning(readNorm(n, v, who).class)).filter((l) => l !== null);
				expect(lean.lastIndexOf('worse'), n.id).toBeLessThan(
					lean.indexOf('better') === -1 ? Infinity : lean.indexOf('better')
				);
			}
	});
	it('sources that agree are no conflict', () => {
		expect(conflicting(judgeTest(spec('chair-stand-30s'), 14, {}, person(72, 'female')).readings)).toBe(
			false
		);
	});
});
