<script lang="ts">
	/** Who the client is, put right with its reason. */
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';
	import { typedForm } from '../typed-form.ts';
	import type { Answered } from '../wrong.ts';

	interface Props {
		readonly formId: string;
		readonly person: {
			readonly name: string;
			readonly born: string;
			readonly sex: 'female' | 'male' | null;
			readonly occupation: string | null;
		};
		readonly today: string;
		/** What the page was given back, where it was about the person. */
		readonly answered: Answered;
		readonly say: (text: string) => void;
	}
	let { formId, person, today, answered, say }: Props = $props();
	// svelte-ignore state_referenced_locally
	const { form, errors, enhance } = typedForm({
		name: 'person',
		fields: {
			name: person.name,
			born: person.born,
			sex: person.sex ?? '',
			occupation: person.occupation ?? '',
			reason: ''
		},
		answered,
		say
	});
	const wrong = (field: keyof typeof $form): string | undefined => $errors[field]?.[0];
</script>

<form method="POST" action="?/person" class="flex flex-wrap items-end gap-3 pb-2" use:enhance novalidate>
	<input type="hidden" name="id" value={formId} />
	<Field of="person" name="name" label="Name" bind:value={$form.name} wrong={wrong('name')} width="w-56" />
	<DayField name="born" label="Born" bind:value={$form.born} wrong={wrong('born')} width="w-40" {today} />
	<Choice
		name="sex"
		label="Sex, for norms"
		bind:value={$form.sex}
		items={[
			{ value: '', name: 'not said' },
			{ value: 'female', name: 'female' },
			{ value: 'male', name: 'male' }
		]}
	/>
	<Field
		of="person"
		name="occupation"
		label="Work"
		bind:value={$form.occupation}
		wrong={wrong('occupation')}
		width="w-48"
	/>
	<Field
		of="person"
		name="reason"
		label="What was wrong with it"
		bind:value={$form.reason}
		wrong={wrong('reason')}
		width="w-64 max-w-full"
	/>
	<Act kind="quiet">Put it right</Act>
</form>
