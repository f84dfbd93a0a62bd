/**
 * A plan in the order of a session: warm-up, main, finish. What was arranged by hand stays where it was put; the rest stands where its purpose
 * belongs, after it, in the order it comes in. @source common-practice warm-up first, stretches and rolling last
 */
import type { Purpose } from './family.ts';

export const GROUPS = ['warmUp', 'main', 'finish'] as const;
export type Group = (typeof GROUPS)[number];

/** Ids of exercises by group. */
export type PlanOrder = Readonly<Record<Group, readonly string[]>>;

const LAST: ReadonlySet<string> = new Set<Purpose>(['mobility', 'relief']);

/** Where an exercise stands that nobody placed. */
export const groupFor = (purpose: string): Group =>
	purpose === 'warm-up' ? 'warmUp' : LAST.has(purpose) ? 'finish' : 'main';

interface Placed {
	readonly exerciseId: string;
	readonly purpose: string;
}

/** Each item in its group, once; ids of the order that are not among the items are passed over. */
export function inGroups<T extends Placed>(
	items: readonly T[],
	order: PlanOrder | null
): Readonly<Record<Group, readonly T[]>> {
	const placed = new Set<string>();
	const byHand = (g: Group): readonly T[] =>
		(order?.[g] ?? []).flatMap((id) => {
			const item = items.find((x) => x.exerciseId === id);
			if (item === undefined || placed.has(id)) return [];
			placed.add(id);
			return [item];
		});
	const arranged = { warmUp: byHand('warmUp'), main: byHand('main'), finish: byHand('finish') };
	const rest = (g: Group): readonly T[] =>
		items.filter((x) => !placed.has(x.exerciseId) && groupFor(x.purpose) === g);
	return {
		warmUp: [...arranged.warmUp, ...rest('warmUp')],
		main: [...arranged.main, ...rest('main')],
		finish: [...arranged.finish, ...rest('finish')]
	};
}

/** The items one after another, as they are done. */
export function inOrder<T extends Placed>(items: readonly T[], order: PlanOrder | null): readonly T[] {
	const groups = inGroups(items, order);
	return GROUPS.flatMap((g) => groups[g]);
}
