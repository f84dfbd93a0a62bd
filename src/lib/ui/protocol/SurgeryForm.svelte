<script lang="ts">
	/** An operation, recorded in own words. */
	import { REGIONS } from '#lib/core/body/place.ts';
	import { regionName } from '#lib/wording/names.ts';
	import Act from '../Act.svelte';
	import AddForm from '../AddForm.svelte';
	import Choice from '../Choice.svelte';
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';

	interface Props {
		readonly id: string;
		readonly today: string;
		readonly at: (field: string) => string | undefined;
		readonly say: (text: string) => void;
	}
	let { id, today, at, say }: Props = $props();
</script>

<Fold
	title="Record an operation"
	needed={at('operatedOn') !== undefined || at('region') !== undefined}
	class="cursor-pointer text-sm text-accent"
>
	<AddForm action="?/surgery" {id} {say} keep="surgery" class="mt-2 flex flex-wrap items-end gap-2">
		<Choice
			name="region"
			label="Where"
			items={REGIONS.map((r) => ({ value: r, name: regionName(r) }))}
			value="knee-right"
		/>
		<Field name="operation" label="What, in own words" width="w-44" />
		<DayField name="operatedOn" label="On" wrong={at('operatedOn')} width="w-40" {today} />
		<Act kind="quiet">Record</Act>
	</AddForm>
</Fold>
