<script lang="ts">
	/** Who the client is, put right with its reason. */
	import { enhance } from '$app/forms';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly formId: string;
		readonly person: {
			readonly name: string;
			readonly born: string;
			readonly sex: 'female' | 'male' | null;
			readonly occupation: string | null;
		};
		readonly today: string;
		/** What was typed and refused. */
		readonly typed: Readonly<Record<string, string>>;
		readonly wrong: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { formId, person, today, typed, wrong, say }: Props = $props();
	// svelte-ignore state_referenced_locally
	let born = $state(typed.born ?? person.born);
</script>

<form
	method="POST"
	action="?/person"
	class="flex flex-wrap items-end gap-3 pb-2"
	use:enhance={sending(say)}
	novalidate
>
	<input type="hidden" name="id" value={formId} />
	<Field
		of="person"
		name="name"
		label="Name"
		value={typed.name ?? person.name}
		wrong={wrong('name')}
		width="w-56"
	/>
	<DayField name="born" label="Born" bind:value={born} wrong={wrong('born')} width="w-40" {today} />
	<Choice
		name="sex"
		label="Sex, for norms"
		value={typed.sex ?? person.sex ?? ''}
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
		value={typed.occupation ?? person.occupation ?? ''}
		wrong={wrong('occupation')}
		width="w-48"
	/>
	<Field
		of="person"
		name="reason"
		label="What was wrong with it"
		value={typed.reason ?? ''}
		wrong={wrong('reason')}
		width="w-64 max-w-full"
	/>
	<Act kind="quiet">Put it right</Act>
</form>
