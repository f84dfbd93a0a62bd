<script lang="ts">
	/** Putting one entry right in its place: what it should have been, and what was wrong. */
	import { enhance } from '$app/forms';
	import type { EntryView } from '#lib/contract/entry.ts';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import { sending } from '../sending.ts';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly formId: string;
		readonly entry: EntryView;
		/** What was typed and refused, by field. */
		readonly typed: Readonly<Record<string, string>>;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
		readonly done: () => void;
	}
	let { formId, entry, typed, wrong, say, done }: Props = $props();
	const ids = $derived({ id: formId, kind: entry.kind, entryId: entry.id });
</script>

<form
	method="POST"
	action="?/correct"
	class="flex flex-wrap items-end gap-3 pt-2"
	use:enhance={sending(say, done)}
	novalidate
>
	{#each Object.entries(ids) as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
	{#each entry.fields as f (f.column)}<Field
			of="right-{entry.id}"
			name={f.column}
			label={f.label}
			unit={f.unit}
			value={typed[f.column] ?? f.value}
			wrong={wrong(f.column)}
			width={f.value.length > 12 ? 'w-72 max-w-full' : 'w-20'}
			autocomplete="off"
		/>{/each}
	<Field
		of="right-{entry.id}"
		name="reason"
		label="What was wrong with it"
		value={typed.reason ?? ''}
		wrong={wrong('reason')}
		width="w-64 max-w-full"
	/>
	{#if wrong('sure')}<Tick class="w-full text-sm text-caution" name="sure" label={wrong('sure') ?? ''} />{/if}
	<Act>Put it right</Act>
</form>
