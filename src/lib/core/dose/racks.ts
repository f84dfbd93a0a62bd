/** The loads there are: single items of the racks, two of a kind, and at home what a bag or bottles can weigh. */

export interface RackItem {
	readonly kg: number;
	readonly count: number;
}

export interface Racks {
	readonly items: readonly RackItem[];
	/** The client has something at home that is filled to weigh. */
	readonly household: boolean;
}

/** The most that a bag of books or two bottles are taken for, in kg. @source common-practice */
export const HOUSEHOLD_MOST_KG = 10;
/** Half of the finest step of a rack, in kg. */
const SAME_KG = 0.05;

/** Can this load be made of what there is? Nothing is always there; two of a weight need two of it. */
export function onTheRacks(kg: number, { items, household }: Racks): boolean {
	if (kg <= 0 || (household && kg <= HOUSEHOLD_MOST_KG)) return true;
	const is = (a: number): boolean => Math.abs(a - kg) < SAME_KG;
	return items.some((item) => is(item.kg) || (item.count > 1 && is(2 * item.kg)));
}

/** The next lighter and the next heavier item, where there are any. */
export function nearestLoads(kg: number, items: readonly RackItem[]): readonly number[] {
	const sorted = [...new Set(items.map((item) => item.kg))].sort((a, b) => a - b);
	const lighter = sorted.filter((item) => item < kg).pop();
	const heavier = sorted.find((item) => item > kg);
	return [lighter, heavier].filter((x): x is number => x !== undefined);
}

/** Equipment that carries its own load: a stack, or a bar with plates. */
const OWN_LOAD: ReadonlySet<string> = new Set(['leg-press', 'extension-machine', 'curl-machine', 'bar']);

/** Does a step load itself, so that no weight of a rack is asked? */
export const loadsItself = (equipment: readonly (string | readonly string[])[] = []): boolean =>
	equipment.some((e) => (typeof e === 'string' ? OWN_LOAD.has(e) : e.some((x) => OWN_LOAD.has(x))));

/** What a first load becomes with what there is: itself, else the next lighter item, else none. */
export const startLoad = (kg: number, racks: Racks): number =>
	onTheRacks(kg, racks) ? kg : (nearestLoads(kg, racks.items).find((item) => item < kg) ?? 0);
