<script lang="ts">
	/** An operation, recorded in own words. */
	import { enhance } from '$app/forms';
	import { REGIONS } from '#lib/core/body/place.ts';
	import { regionName } from '#lib/wording/names.ts';
	import Act from '../Act.svelte';
	import Choice from '../Choice.svelte';
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import { keepForm } from '../keep-form.ts';
	import { sending } from '../sending.ts';

	interface Props {
		readonly id: string;
		readonly today: string;
		readonly at: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { id, today, at, say }: Props = $props();
	/** Each that was kept: the next begins empty, and a second press is not a second entry. */
	let kept = $state(0);
</script>

<Fold
	title="Record an operation"
	needed={at('operatedOn') !== undefined || at('region') !== undefined}
	class="cursor-pointer text-sm text-accent"
>
	{#key kept}
		<form
			method="POST"
			action="?/surgery"
			class="mt-2 flex flex-wrap items-end gap-2"
			use:keepForm={'surgery'}
			use:enhance={sending(say, () => kept++)}
		>
			<input type="hidden" name="id" value={id} />
			<Choice
				name="region"
				label="Where"
				items={REGIONS.map((r) => ({ value: r, name: regionName(r) }))}
				value="knee-right"
			/>
			<Field name="operation" label="What, in own words" width="w-44" />
			<DayField name="operatedOn" label="On" wrong={at('operatedOn')} width="w-40" {today} />
			<Act kind="quiet">Record</Act>
		</form>
	{/key}
</Fold>
