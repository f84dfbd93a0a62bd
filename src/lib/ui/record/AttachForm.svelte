<script lang="ts">
	/** A letter, a protocol, an image or a photo, kept with the record. */
	import Fileupload from 'flowbite-svelte/Fileupload.svelte';
	import { ATTACHMENT_KINDS } from '#lib/contract/history-form.ts';
	import Act from '../Act.svelte';
	import AddForm from '../AddForm.svelte';
	import Choice from '../Choice.svelte';
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';

	interface Props {
		readonly formId: string;
		readonly today: string;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { formId, today, wrong, say }: Props = $props();
	// svelte-ignore state_referenced_locally
	let day = $state(today);
</script>

<AddForm
	action="?/attach"
	id={formId}
	{say}
	class="flex flex-wrap items-end gap-3 pb-2"
	enctype="multipart/form-data"
>
	<Choice
		name="kind"
		label="What it is"
		value="letter"
		items={ATTACHMENT_KINDS.map((k) => ({ value: k, name: k }))}
	/>
	<Field of="attach" name="title" label="Title" wrong={wrong('title')} width="w-64 max-w-full" />
	<DayField name="day" label="Of the day" bind:value={day} wrong={wrong('day')} width="w-40" {today} />
	<div>
		<label for="attach-file" class="label block">PDF, JPEG or PNG, to 10 MB</label>
		<Fileupload
			id="attach-file"
			name="file"
			accept=".pdf,.jpg,.jpeg,.png"
			class="w-80 max-w-full rounded-md border border-edge bg-sheet text-base text-ink dark:bg-sheet dark:text-ink"
		/>
		{#if wrong('file')}<p class="mt-1 max-w-80 text-sm text-stop">{wrong('file')}</p>{/if}
	</div>
	<Act>Keep the file</Act>
</AddForm>
