/** A week as it is arranged: what was ordered anew is put in only where it takes less time. */
import { expect, it } from 'vitest';
import type { Work } from '#lib/core/plan/work.ts';
import { arranged, secondsOf, shorterThan } from './arrangement.ts';

const work = (id: string, place: 'standing' | 'floor'): Work =>
	({
		...{ id, title: id, role: 'main', muscles: [], stretches: [], particulars: {}, sides: 'both-at-once' },
		step: { id, title: id, dials: {}, tags: place === 'floor' ? ['supine'] : [], equipment: [] },
		dose: { school: 'sets-first', sets: 1, reps: 10, loadKg: 0, target: { sets: 1, reps: 10 } },
		moments: {}
	}) as unknown as Work;
const all = new Map(
	(['a', 'b', 'c', 'd'] as const).map((id, i) => [id, work(id, i < 2 ? 'standing' : 'floor')])
);
const day = (weekday: number, ids: readonly string[]) =>
	arranged([{ weekday, turns: ids.map((id) => [id]) }])[0]!;

it('a day is replaced by a shorter one, never by one as long or longer, nor by one that is on no day', () => {
	const [toAndFro, onceDown] = [day(1, ['a', 'c', 'b', 'd']), day(1, ['a', 'b', 'c', 'd'])];
	expect(secondsOf(onceDown, all)).toBeLessThan(secondsOf(toAndFro, all) - 1);
	expect(shorterThan([toAndFro], [onceDown], all)).toEqual([onceDown]);
	expect(shorterThan([onceDown], [toAndFro], all)).toEqual([]);
	expect(shorterThan([onceDown], [onceDown], all)).toEqual([]);
	expect(shorterThan([toAndFro], [{ ...onceDown, weekday: 3 }], all)).toEqual([]);
});
