/** A session's order: warm-up, main, finish. Common practice. */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { GROUPS, groupFor, inGroups, inOrder, type PlanOrder } from './plan-order.ts';

const item = (exerciseId: string, purpose = 'thigh-front') => ({ exerciseId, purpose });
const ids = (xs: readonly { readonly exerciseId: string }[]) => xs.map((x) => x.exerciseId);

describe('where an exercise stands', () => {
	it.each([
		['warm-up', 'warmUp'],
		['mobility', 'finish'],
		['relief', 'finish'],
		['thigh-front', 'main'],
		['balance', 'main']
	] as const)('%s stands in %s', (purpose, group) => expect(groupFor(purpose)).toBe(group));
	it('what nobody placed stands by its purpose, in the order it came', () => {
		const groups = inGroups([item('a'), item('b', 'mobility'), item('c', 'warm-up'), item('d')], null);
		expect(GROUPS.map((g) => ids(groups[g]))).toEqual([['c'], ['a', 'd'], ['b']]);
	});
	it('what was placed stays, first in its group; what came since follows; what has gone leaves no gap', () => {
		const order: PlanOrder = { warmUp: ['b', 'gone'], main: ['d', 'a'], finish: [] };
		const all = [item('a'), item('b'), item('c'), item('d')];
		expect(ids(inOrder(all, order))).toEqual(['b', 'd', 'a', 'c']);
	});
	it('an id that is named twice stands once, where it was named first', () => {
		expect(ids(inOrder([item('a')], { warmUp: ['a'], main: ['a', 'a'], finish: ['a'] }))).toEqual(['a']);
	});
	it('whatever the order says, each item stands exactly once', () => {
		const id = fc.constantFrom('a', 'b', 'c', 'd', 'e');
		const list = fc.array(id, { maxLength: 6 });
		fc.assert(
			fc.property(
				fc.uniqueArray(id),
				fc.constantFrom('warm-up', 'mobility', 'calf'),
				fc.record({ warmUp: list, main: list, finish: list }),
				(names, purpose, order) => {
					const got = ids(
						inOrder(
							names.map((n) => item(n, purpose)),
							order
						)
					);
					expect([...got].sort()).toEqual([...names].sort());
				}
			)
		);
	});
});
