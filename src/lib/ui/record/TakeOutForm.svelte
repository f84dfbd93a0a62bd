<script lang="ts">
	/** Taking one entry out: why, and where what is right is entered. */
	import { enhance } from '$app/forms';
	import type { EntryView } from '#lib/contract/entry.ts';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly formId: string;
		readonly entry: EntryView;
		readonly enterAt: string;
		readonly wrong: string | undefined;
		readonly say: (text: string) => void;
		readonly done: () => void;
	}
	let { formId, entry, enterAt, wrong, say, done }: Props = $props();
	const ids = $derived({ id: formId, kind: entry.kind, entryId: entry.id });
</script>

<form
	method="POST"
	action="?/out"
	class="flex flex-wrap items-end gap-3 py-2"
	use:enhance={sending(say, done)}
	novalidate
>
	{#each Object.entries(ids) as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
	<Field of={entry.id} name="reason" label="Why it goes altogether" {wrong} width="w-72 max-w-full" />
	<Act kind="danger">Take it out</Act>
	<a class="min-h-9" href={enterAt}>Enter what is right</a>
</form>
