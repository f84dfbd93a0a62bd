<script lang="ts">
	/** A single limit, on somebody’s word, without an operation. */
	import { RANGES } from '#lib/catalogue/ranges.ts';
	import { SIDES } from '#lib/core/body/axis.ts';
	import { WHEN_NAME } from '#lib/wording/protocol.ts';
	import Act from '../Act.svelte';
	import AddForm from '../AddForm.svelte';
	import Choice from '../Choice.svelte';
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import { wrongUnder, type Wrong } from '../wrong.ts';

	interface Props {
		readonly id: string;
		readonly today: string;
		readonly wrong: Wrong | undefined;
		readonly say: (text: string) => void;
	}
	let { id, today, wrong, say }: Props = $props();
	const at = (field: string): string | undefined => wrong?.all[field];
	const AXES = Object.values(RANGES).map((r) => ({ value: r.id, name: r.name }));
</script>

<Fold
	title="A limit without an operation"
	needed={wrongUnder(wrong, 'limit.') !== undefined}
	class="cursor-pointer text-sm text-accent"
>
	<AddForm action="?/limit" {id} {say} keep="limit" class="mt-2 grid gap-2">
		<div class="flex flex-wrap items-end gap-2">
			<Choice of="l" name="axis" label="Movement" value="kneeFlexion" items={AXES} />
			<Choice
				of="l"
				name="side"
				label="Side"
				value="right"
				items={SIDES.map((x) => ({ value: x, name: x }))}
			/>
			<Field
				of="l"
				name="minDeg"
				label="From"
				unit="°"
				inputmode="numeric"
				wrong={at('limit.minDeg')}
				width="w-14"
			/>
			<Field
				of="l"
				name="maxDeg"
				label="To"
				unit="°"
				inputmode="numeric"
				wrong={at('limit.maxDeg')}
				width="w-14"
			/>
			<Choice
				of="l"
				name="when"
				label="In"
				value="always"
				items={Object.entries(WHEN_NAME).map(([value, name]) => ({ value, name }))}
			/>
		</div>
		<div class="flex flex-wrap items-end gap-2">
			<Field of="l" name="source" label="On whose word" wrong={at('limit.source')} width="w-52" /><DayField
				of="l"
				name="reviewOn"
				label="Review on"
				width="w-40"
				{today}
				ahead
			/><Act kind="quiet">Set the limit</Act>
		</div>
	</AddForm>
</Fold>
