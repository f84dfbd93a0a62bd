import { itemForm } from '#lib/contract/practice-form.ts';
import { uuid } from '#lib/contract/basics.ts';
import { RACK_KINDS } from '#lib/core/dose/rack-kind.ts';
import { roomsFromCsv } from '#lib/exchange/rooms-csv.ts';
import { contextIn, formIds } from '#lib/server/http/client-page.ts';
import { formOf } from '#lib/server/http/form-of.ts';
import { orError, refusal, refuseField, refuseShape } from '#lib/server/http/respond.ts';
import { changeItem, importItems, mayChangeRooms, showRooms } from '#lib/server/usecase/rooms.ts';
import { rackKindName } from '#lib/wording/practice.ts';
import type { Actions, PageServerLoad } from './$types';

export const load: PageServerLoad = async ({ locals }) => {
	const ctx = contextIn(locals);
	const items = [...orError(await showRooms(ctx))].sort(
		(a, b) => RACK_KINDS.indexOf(a.kind) - RACK_KINDS.indexOf(b.kind) || a.value - b.value
	);
	return {
		items,
		may: mayChangeRooms(ctx),
		kinds: RACK_KINDS.map((value) => ({ value, name: rackKindName(value) })),
		ids: formIds(ctx, items.length),
		newIds: formIds(ctx, 3)
	};
};

export const actions: Actions = {
	item: async ({ request, locals }) => {
		const form = await formOf(request);
		const parsed = itemForm.safeParse({ outOfOrder: '', ...Object.fromEntries(form) });
		if (!parsed.success) return refuseShape(form, parsed.error);
		const { outOfOrder, value, count, ...item } = parsed.data;
		const done = await changeItem(contextIn(locals), {
			...item,
			value,
			count: count as number,
			outOfOrder: outOfOrder === 'on'
		});
		return done.ok
			? { done: `Kept: ${item.label}. What can be set up follows for every client.` }
			: refusal(form, done.refusal);
	},
	file: async ({ request, locals }) => {
		const form = await formOf(request);
		const id = uuid.safeParse(form.get('id')).data;
		const file = form.get('file');
		if (id === undefined) return refuseField(form, 'file', 'The form has lost its ids; reload the page.');
		if (!(file instanceof File) || file.size === 0) return refuseField(form, 'file', 'Choose a file.');
		const read = roomsFromCsv(await file.text());
		if (!read.ok)
			return refuseField(
				form,
				'file',
				`Line ${read.refusal.line}: ${read.refusal.message}. Nothing was taken.`
			);
		const done = await importItems(contextIn(locals), { id, items: read.value });
		return done.ok ? { done: `Kept ${done.value.kept} items from the file.` } : refusal(form, done.refusal);
	}
};
