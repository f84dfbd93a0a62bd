/** What stands in the rooms of a practice. What is changed changes what can be set up for every client at once. */
import { ok } from '#lib/core/base/result.ts';
import { isBelieved, measured, unitsOf, type RackKind, type RackUnit } from '#lib/core/dose/rack-kind.ts';
import { keepItem, noteChange, rackItems, type RackItemKept } from '../repo/practice-repo.ts';
import { allow, invalid, type Context, type Outcome } from './actor.ts';
import { command } from './command.ts';
import { newId } from './new-id.ts';

export type { RackItemKept };

/** Everybody of the practice may look; its owner changes. */
export async function showRooms(ctx: Context): Promise<Outcome<readonly RackItemKept[]>> {
	return ok(await ctx.inPractice(rackItems));
}

export interface ItemChange extends Omit<RackItemKept, 'id'> {
	readonly id: string;
	readonly itemId: string;
}

/** What cannot be: a seat in kilograms, a wedge of forty centimetres. */
export function itemTrouble(i: {
	readonly kind: RackKind;
	readonly value: number;
	readonly unit: RackUnit;
}): Outcome<never> | undefined {
	const units = unitsOf(i.kind);
	if (!units.includes(i.unit))
		return invalid(
			'unit',
			units[0] === 'rank'
				? 'A band has a rank of tension, 1 the lightest of 5.'
				: `A ${i.kind} is measured in ${units.join(' or ')}.`
		);
	return isBelieved(i.kind, i.value, i.unit)
		? undefined
		: invalid('value', `A ${i.kind} of ${i.value} ${i.unit} looks mistyped.`);
}

export const changeItem = command<ItemChange, true>({
	verb: 'change the rooms',
	id: (i) => i.id,
	everybody: true,
	check: itemTrouble,
	run: async ({ id: _, itemId, ...item }, { t, ctx, recordedAt }) => {
		const before = (await rackItems(t)).find((i) => i.id === itemId);
		await keepItem(t, { ...item, id: itemId, ...measured(item.value, item.unit) });
		await noteChange(t, newId(ctx.now), whatChanged(before, { ...item, id: itemId }), recordedAt);
		return ok(true);
	}
});

const sized = (i: RackItemKept): string => `${i.count} × ${i.label}, ${i.value} ${i.unit}`;

function whatChanged(before: RackItemKept | undefined, after: RackItemKept): string {
	if (before === undefined) return `new in the rooms: ${sized(after)}`;
	if (before.outOfOrder !== after.outOfOrder)
		return `${after.label}: ${after.outOfOrder ? 'out of order' : 'in order again'}`;
	return `in the rooms: ${sized(before)} is now ${sized(after)}`;
}

type Row = Omit<RackItemKept, 'id'>;
const isSame = (a: Row, b: Row): boolean =>
	a.kind === b.kind && a.label === b.label && a.room === b.room && a.value === b.value && a.unit === b.unit;

/** From a table somebody prepared elsewhere: all of it or nothing. The same thing in the same room is that thing, changed; what is not in the table stays. */
export const importItems = command<
	{ readonly id: string; readonly items: readonly Row[] },
	{ readonly kept: number }
>({
	verb: 'change the rooms',
	id: (i) => i.id,
	everybody: true,
	check: ({ items }) => items.map(itemTrouble).find((x) => x !== undefined),
	run: async ({ items }, { t, ctx, recordedAt }) => {
		const known = await rackItems(t);
		for (const item of items) {
			const id = known.find((k) => isSame(k, item))?.id ?? newId(ctx.now);
			await keepItem(t, { ...item, id, ...measured(item.value, item.unit) });
		}
		await noteChange(t, newId(ctx.now), `${items.length} items of the rooms from a file`, recordedAt);
		return ok({ kept: items.length });
	}
});

export const mayChangeRooms = (ctx: Context): boolean => allow(ctx.actor, 'change the rooms').ok;
