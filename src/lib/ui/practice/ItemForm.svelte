<script lang="ts">
	/** One thing of the rooms: what it is, its size as printed, how many. */
	import { RACK_UNITS } from '#lib/core/dose/rack-kind.ts';
	import { UNIT_NAME } from '#lib/wording/practice.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import type { Answered } from '../wrong.ts';
	import Tick from '../Tick.svelte';
	import { typedForm } from '../typed-form.ts';

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
		/** What the page was given back, where it was about this thing. */
		readonly answered: Answered;
		readonly kinds: readonly { readonly value: string; readonly name: string }[];
		readonly say: (text: string) => void;
		readonly done: () => void;
	}
	let { formId, itemId, item, answered, kinds, say, done }: Props = $props();
	const text = (kept: string | number | undefined): string => String(kept ?? '');
	// svelte-ignore state_referenced_locally
	const { form, errors, enhance } = typedForm({
		name: `item-${itemId}`,
		fields: {
			kind: item?.kind ?? 'seat',
			label: text(item?.label),
			value: text(item?.value),
			unit: item?.unit ?? 'cm',
			count: text(item?.count ?? 1),
			room: text(item?.room)
		},
		answered,
		say,
		done
	});
	const wrong = (field: keyof typeof $form): string | undefined => $errors[field]?.[0];
</script>

<form method="POST" action="?/item" class="flex flex-wrap items-end gap-3 py-2" use:enhance novalidate>
	<input type="hidden" name="id" value={formId} />
	<input type="hidden" name="itemId" value={itemId} />
	<Choice of={itemId} name="kind" label="What" bind:value={$form.kind} items={[...kinds]} />
	<Field
		of={itemId}
		name="label"
		label="Called"
		bind:value={$form.label}
		wrong={wrong('label')}
		width="w-48"
	/>
	<Field
		of={itemId}
		name="value"
		label="Size, as printed"
		inputmode="decimal"
		bind:value={$form.value}
		wrong={wrong('value')}
		width="w-20"
	/>
	<Choice
		of={itemId}
		name="unit"
		label="in"
		bind:value={$form.unit}
		items={RACK_UNITS.map((u) => ({ value: u, name: UNIT_NAME[u] }))}
	/>
	<Field
		of={itemId}
		name="count"
		label="How many"
		inputmode="numeric"
		bind:value={$form.count}
		wrong={wrong('count')}
		width="w-16"
	/>
	<Field of={itemId} name="room" label="Room" bind:value={$form.room} wrong={wrong('room')} width="w-32" />
	<Tick name="outOfOrder" label="out of order" checked={item?.outOfOrder === true} />
	{#if wrong('unit')}<p class="w-full text-sm text-stop">{wrong('unit')}</p>{/if}
	<Act kind="quiet">Keep</Act>
</form>
