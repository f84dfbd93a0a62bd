/** Repeated movement: which way does the leg good, which is left alone. Centralisation, Werneke 1999 and May & Aina 2012 (direction, from memory). */
import { describe, expect, it } from 'vitest';
import { STEPS_WITH } from '../../catalogue/tags.ts';
import { addDays } from '../base/calendar-day.ts';
import { BACK_WAYS, goesWith, preferenceOf, tagsOfWay, withheldByWay, type Repeated } from './repeated.ts';

const TODAY = '2026-03-12';
const tried = (way: Repeated['way'], leg: Repeated['leg'], daysAgo = 0): Repeated => ({
	way,
	leg,
	repetitions: 10,
	day: addDays(TODAY, -daysAgo)
});

describe('the preferred way', () => {
	it('is the one that does the leg good while its opposite does not', () => {
		expect(preferenceOf([tried('backward', 'better'), tried('forward', 'same')], TODAY).prefers).toBe(
			'backward'
		);
		expect(preferenceOf([tried('backward', 'better')], TODAY).prefers).toBe('backward');
		expect(preferenceOf([tried('backward', 'better'), tried('forward', 'better')], TODAY).prefers).toBeNull();
		expect(preferenceOf([tried('backward', 'same')], TODAY).prefers).toBeNull();
		expect(
			preferenceOf([tried('backward', 'better'), tried('side-left', 'better')], TODAY).prefers
		).toBeNull();
		expect(preferenceOf([], TODAY)).toEqual({ prefers: null, avoids: [], latest: [] });
	});
	it('is good for four weeks; what sent pain further down binds until it is tried again', () => {
		const at = (days: number) =>
			preferenceOf([tried('backward', 'better', days), tried('forward', 'further-down', days)], TODAY);
		expect(at(28).prefers).toBe('backward');
		expect(at(29).prefers).toBeNull();
		expect(at(400).avoids).toEqual(['forward']);
		expect(
			preferenceOf([tried('forward', 'further-down', 5), tried('forward', 'same', 1)], TODAY).avoids
		).toEqual([]);
		expect(
			preferenceOf([tried('forward', 'same', 1), tried('forward', 'further-down', 5)], TODAY).avoids
		).toEqual([]);
	});
	it('of one day the last entered counts', () => {
		expect(
			preferenceOf([tried('forward', 'better'), tried('forward', 'further-down')], TODAY).avoids
		).toEqual(['forward']);
		expect(
			preferenceOf([tried('forward', 'further-down'), tried('forward', 'better')], TODAY).avoids
		).toEqual([]);
	});
});

describe('what it does', () => {
	it('withholds the steps that go the way that sent pain further down, and no others', () => {
		const withheld = withheldByWay(preferenceOf([tried('forward', 'further-down')], TODAY));
		expect(withheld.map((w) => w.tag)).toEqual(['spine-end-bend', 'loaded-spine-bending']);
		expect(withheldByWay(preferenceOf([tried('side-left', 'further-down')], TODAY))).toEqual([]);
		const back = withheldByWay(preferenceOf([tried('backward', 'further-down')], TODAY));
		expect(back.map((w) => w.because)).toEqual(['further-down-backward']);
	});
	it('every tag it speaks of is carried by a step, and no step goes both ways', () => {
		const steps = (way: (typeof BACK_WAYS)[number]) => tagsOfWay(way).flatMap((t) => STEPS_WITH[t]);
		for (const tag of BACK_WAYS.flatMap(tagsOfWay)) expect(STEPS_WITH[tag].length, tag).toBeGreaterThan(0);
		expect(steps('forward').filter((s) => steps('backward').includes(s))).toEqual([]);
	});
	it('ranks with it, against it, or neither', () => {
		expect(goesWith(['spine-backward'], 'backward')).toBe(1);
		expect(goesWith(['spine-end-bend'], 'backward')).toBe(-1);
		expect(goesWith(['spine-end-bend'], 'forward')).toBe(1);
		expect(goesWith(['kneeling'], 'forward')).toBe(0);
		expect(goesWith(['spine-backward'], null)).toBe(0);
	});
});
