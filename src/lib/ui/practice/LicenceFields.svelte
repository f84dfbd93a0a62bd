<script lang="ts">
	/** A licence and its end. */
	import DayField from '../DayField.svelte';
	import Field from '../Field.svelte';

	interface Props {
		readonly of?: string;
		readonly licenceNo?: string;
		readonly licensedUntil?: string;
		readonly today: string;
		readonly wrong: (field: string) => string | undefined;
	}
	let { of = '', licenceNo = '', licensedUntil = '', today, wrong }: Props = $props();
	// svelte-ignore state_referenced_locally
	let until = $state(licensedUntil);
</script>

<Field {of} name="licenceNo" label="Licence" value={licenceNo} wrong={wrong('licenceNo')} width="w-40" />
<DayField
	{of}
	name="licensedUntil"
	label="Valid until"
	bind:value={until}
	{today}
	ahead
	wrong={wrong('licensedUntil')}
	width="w-40"
/>
