<script lang="ts">
	/** A labelled list to choose from, in our own dress. */
	import Select from 'flowbite-svelte/Select.svelte';

	interface Props {
		readonly name: string;
		readonly label: string;
		value?: string | undefined;
		readonly items: readonly { readonly value: string; readonly name: string }[];
		readonly hideLabel?: boolean;
		/** Tells forms of one page apart that have a field of the same name. */
		readonly of?: string;
		readonly [key: string]: unknown;
	}
	let { name, label, value = $bindable(), items, hideLabel = false, of = '', ...rest }: Props = $props();
	const id = $derived(`f-${of}${name.replaceAll('.', '-')}`);
</script>

<div>
	<label for={id} class={hideLabel ? 'sr-only' : 'label block'}>{label}</label>
	<Select
		{id}
		{name}
		items={[...items]}
		bind:value
		placeholder=""
		{...rest}
		classes={{
			select:
				'rounded-md border border-edge bg-sheet py-1.5 pl-2 text-base text-ink focus:border-accent focus:ring-0 dark:bg-sheet dark:text-ink'
		}}
	/>
</div>
