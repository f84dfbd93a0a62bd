<script lang="ts">
	/** What a client may ask of their record: all of it to take along, who looked at it, and its end. */
	import { enhance } from '$app/forms';
	import { ERASE_BECAUSE } from '#lib/core/client/erasure.ts';
	import { BECAUSE_TEXT } from '#lib/wording/archive.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import Field from '../Field.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly clientId: string;
		readonly formId: string;
		/** Who asked for its end already. */
		readonly asked: string | null;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { clientId, formId, asked, wrong, say }: Props = $props();
	let because = $state<string>('mistaken');
</script>

<p class="flex flex-wrap gap-x-6 gap-y-1 pb-2">
	<a href="/clients/{clientId}/archive" download data-sveltekit-reload
		>Everything in one file, to take along</a
	>
	<a href="/practice/records?client={clientId}#looks">Who looked at this record</a>
</p>
{#if asked !== null}<p class="pb-2">
		{asked} asked for this record to be erased; a second person agrees under
		<a class="underline" href="/practice/records">Practice, Records</a>.
	</p>
{:else}
	<form
		method="POST"
		action="?/erase"
		class="flex flex-wrap items-end gap-4 pb-2"
		use:enhance={sending(say)}
		novalidate
	>
		<input type="hidden" name="id" value={formId} />
		<Choice
			name="because"
			label="Ask for its erasure"
			bind:value={because}
			items={ERASE_BECAUSE.map((value) => ({ value, name: BECAUSE_TEXT[value] }))}
		/>
		<Field
			name="why"
			of="erase"
			label="Who asks for it, and why"
			wrong={wrong('why')}
			width="w-72 max-w-full"
		/>
		<Act kind="quiet">Ask</Act>
		{#if wrong('because')}<p class="w-full text-sm text-stop">{wrong('because')}</p>{/if}
	</form>
{/if}
