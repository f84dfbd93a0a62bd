<script lang="ts">
	/** A note with its day: of the client, of one sore place or of one exercise. */
	import { enhance } from '$app/forms';
	import Textarea from 'flowbite-svelte/Textarea.svelte';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import DayField from '../DayField.svelte';
	import { keepForm } from '../keep-form.ts';
	import { sending } from '../sending.ts';

	interface Props {
		readonly formId: string;
		readonly about: readonly { readonly value: string; readonly name: string }[];
		readonly today: string;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { formId, about, today, wrong, say }: Props = $props();
	// svelte-ignore state_referenced_locally
	let day = $state(today);
	let body = $state('');
</script>

<form
	method="POST"
	action="?/note"
	class="flex flex-wrap items-end gap-3 pb-2"
	use:keepForm={'note'}
	use:enhance={sending(say, () => (body = ''))}
	novalidate
>
	<input type="hidden" name="id" value={formId} />
	<DayField name="day" label="Day" bind:value={day} wrong={wrong('day')} width="w-40" {today} />
	<Choice name="about" label="About" value="" items={[{ value: '', name: 'the client' }, ...about]} />
	<div class="w-full">
		<label for="note-body" class="label block">Note</label>
		<Textarea
			id="note-body"
			name="body"
			rows={3}
			bind:value={body}
			aria-invalid={wrong('body') ? 'true' : undefined}
			class="w-full rounded-md border border-edge bg-sheet text-base text-ink dark:bg-sheet dark:text-ink"
		/>
		{#if wrong('body')}<p class="text-sm text-stop">{wrong('body')}</p>{/if}
	</div>
	<Act>Keep the note</Act>
</form>
