/** Who is where, what hurts, whose rest is over. */
import { describe, expect, it } from 'vitest';
import type { FloorClient } from '#lib/contract/floor.ts';
import type { MineWork } from '#lib/contract/mine.ts';
import { onward, withDid } from '../mine/run.ts';
import {
	atWhat,
	beginOn,
	begun,
	goesOn,
	oneSet,
	restLeft,
	stateOf,
	whatHurt,
	type OnFloor
} from './floor.ts';

let n = 0;
const fresh = (): string => `00000000-0000-7000-8000-${String(++n).padStart(12, '0')}`;
const work = (more: Partial<MineWork> = {}): MineWork => ({
	...{ exerciseId: fresh(), prescriptionId: fresh(), title: `w${n}`, what: '', cues: [], cautions: [] },
	...{ how: [], note: null, region: 'knee-right', other: null, mirror: false, sides: 1, sets: 3, reps: 10 },
	...{
		unit: 'reps' as const,
		loadKg: 0,
		doseText: '3×10',
		lighter: false,
		held: false,
		tags: [],
		frames: []
	},
	...{
		tempo: [2, 0, 2] as const,
		setSec: 40,
		restSec: 60,
		hurts: [],
		easy: '',
		loggedToday: false,
		turn: -1
	},
	...more
});
const client = (more: Partial<FloorClient> = {}): FloorClient => ({
	...{ clientId: fresh(), name: 'Wren', today: '2026-03-12', work: [work(), work()], arrived: 'go' },
	...{ before: { 'knee-right.before': '1' }, flag: false },
	...more
});
const NOW = 1_000_000;

describe('a client on the floor', () => {
	it('begins with the first exercise that is not closed, with the pains of the door', () => {
		const c = client({ work: [work({ held: true }), work()] });
		const on = beginOn(c, fresh);
		expect([on.run.at, on.run.pains]).toEqual([1, { 'knee-right.before': '1' }]);
		expect(stateOf(c, on, NOW)).toBe('working');
	});
	it('is held by a flag or by the door, and asked at the door first', () => {
		const of = (more: Partial<FloorClient>) => {
			const c = client(more);
			return stateOf(c, beginOn(c, fresh), NOW);
		};
		expect(of({ flag: true })).toBe('held');
		expect(of({ arrived: 'not-today' })).toBe('held');
		expect(of({ arrived: null })).toBe('not-arrived');
		expect(of({ work: [] })).toBe('nothing');
		expect(of({ work: [work({ held: true })] })).toBe('nothing');
	});
	it('rests until the clock says so; to the millisecond it is over', () => {
		const c = client();
		const on: OnFloor = { ...beginOn(c, fresh), restUntil: NOW + 1 };
		expect([stateOf(c, on, NOW), restLeft(on, NOW)]).toEqual(['resting', 1]);
		expect(stateOf(c, on, NOW + 1)).toBe('rest-over');
		expect(restLeft(on, NOW + 30_001)).toBe(-30);
	});
	it('says what they are at, and what hurt, the worst first', () => {
		const c = client();
		const [a, b] = c.work as [MineWork, MineWork];
		let on = beginOn(c, fresh);
		expect(atWhat(c, on)).toEqual({ title: a.title, set: 'set 1 of 3' });
		on = { ...on, run: withDid(on.run, a, { sets: 3, hurt: 3 }) };
		expect(atWhat(c, on).set).toBe('done');
		on = { ...on, run: withDid(onward(on.run, c.work), b, { sets: 1, hurt: 6 }) };
		expect(atWhat(c, on)).toEqual({ title: b.title, set: 'set 2 of 3' });
		expect(whatHurt(c, on)).toEqual([
			{ title: b.title, pain: 6 },
			{ title: a.title, pain: 3 }
		]);
		on = { ...on, run: onward(on.run, c.work) };
		expect([stateOf(c, on, NOW), begun(c, on), atWhat(c, on).title]).toEqual(['how-was', true, '']);
		expect(stateOf(c, { ...on, logged: true }, NOW)).toBe('logged');
	});
	it('a lighter day is fewer sets here too', () => {
		const c = client({ arrived: 'lighter' });
		expect(atWhat(c, beginOn(c, fresh)).set).toBe('set 1 of 2');
	});
	it('goes on after a reload on the same day with the same plan, and begins anew otherwise', () => {
		const c = client();
		const on = beginOn(c, fresh);
		expect(goesOn(on, c)).toBe(true);
		expect(goesOn(undefined, c)).toBe(false);
		expect(goesOn(on, { ...c, today: '2026-03-13' })).toBe(false);
		expect(goesOn(on, { ...c, work: [...c.work, work()] })).toBe(false);
		expect(goesOn(on, { ...c, work: c.work.slice(1) })).toBe(false);
	});
	it('a set is done of whoever trains: the last one asks, a warm-up leads on, past the last nothing', () => {
		const c = client({ work: [work({ exerciseId: null, sets: 1 }), work({ sets: 2 })] });
		const warm = oneSet(c, beginOn(c, fresh), NOW);
		expect([warm.on.run.at, warm.asks]).toEqual([1, false]);
		const first = oneSet(c, warm.on, NOW);
		expect([first.on.restUntil, first.asks]).toEqual([NOW + 60_000, false]);
		const last = oneSet(c, first.on, NOW);
		expect([last.on.restUntil, last.asks]).toEqual([null, true]);
		expect(oneSet(c, last.on, NOW)).toEqual({ on: last.on, asks: false });
	});
	it('a set is done of nobody who is held, was not asked at the door, or has logged', () => {
		for (const more of [{ flag: true }, { arrived: 'not-today' as const }, { arrived: null }]) {
			const c = client(more);
			const on = beginOn(c, fresh);
			expect(oneSet(c, on, NOW).on).toBe(on);
		}
		const c = client();
		const on = { ...beginOn(c, fresh), logged: true };
		expect(oneSet(c, on, NOW).on).toBe(on);
	});
});
