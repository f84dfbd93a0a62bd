<script lang="ts">
	/** One thing of the rooms: what it is, its size as printed, how many. */
	import { enhance } from '$app/forms';
	import { RACK_UNITS } from '#lib/core/dose/rack-kind.ts';
	import { UNIT_NAME } from '#lib/wording/practice.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import Tick from '../Tick.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly formId: string;
		readonly itemId: string;
		readonly item?: {
			readonly kind: string;
			readonly label: string;
			readonly value: number;
			readonly unit: string;
			readonly count: number;
			readonly room: string;
			readonly outOfOrder: boolean;
		};
		/** What was typed and refused. */
		readonly typed: Readonly<Record<string, string>>;
		readonly kinds: readonly { readonly value: string; readonly name: string }[];
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
		readonly done: () => void;
	}
	let { formId, itemId, item, typed, kinds, wrong, say, done }: Props = $props();
	const of = (name: string, kept: string | number | undefined): string => typed[name] ?? String(kept ?? '');
</script>

<form
	method="POST"
	action="?/item"
	class="flex flex-wrap items-end gap-3 py-2"
	use:enhance={sending(say, done)}
	novalidate
>
	<input type="hidden" name="id" value={formId} />
	<input type="hidden" name="itemId" value={itemId} />
	<Choice of={itemId} name="kind" label="What" value={of('kind', item?.kind ?? 'seat')} items={[...kinds]} />
	<Field
		of={itemId}
		name="label"
		label="Called"
		value={of('label', item?.label)}
		wrong={wrong('label')}
		width="w-48"
	/>
	<Field
		of={itemId}
		name="value"
		label="Size, as printed"
		inputmode="decimal"
		value={of('value', item?.value)}
		wrong={wrong('value')}
		width="w-20"
	/>
	<Choice
		of={itemId}
		name="unit"
		label="in"
		value={of('unit', item?.unit ?? 'cm')}
		items={RACK_UNITS.map((u) => ({ value: u, name: UNIT_NAME[u] }))}
	/>
	<Field
		of={itemId}
		name="count"
		label="How many"
		inputmode="numeric"
		value={of('count', item?.count ?? 1)}
		wrong={wrong('count')}
		width="w-16"
	/>
	<Field
		of={itemId}
		name="room"
		label="Room"
		value={of('room', item?.room)}
		wrong={wrong('room')}
		width="w-32"
	/>
	<Tick name="outOfOrder" label="out of order" checked={item?.outOfOrder === true} />
	{#if wrong('unit')}<p class="w-full text-sm text-stop">{wrong('unit')}</p>{/if}
	<Act kind="quiet">Keep</Act>
</form>
