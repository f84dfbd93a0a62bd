<script lang="ts">
	/** A labelled text or number field in our own dress, with what is wrong beside it. */
	import Input from 'flowbite-svelte/Input.svelte';

	interface Props {
		readonly name: string;
		readonly label: string;
		value?: string | undefined;
		readonly unit?: string;
		readonly wrong?: string | undefined;
		readonly hideLabel?: boolean;
		/** Tells forms of one page apart that have a field of the same name. */
		readonly of?: string;
		readonly width?: string;
		readonly [key: string]: unknown;
	}
	let {
		name,
		label,
		value = $bindable(),
		unit = '',
		wrong,
		hideLabel = false,
		of = '',
		width = 'w-24',
		...rest
	}: Props = $props();
	const id = $derived(`f-${of}${name.replaceAll('.', '-')}`);
</script>

<div>
	<label for={id} class={hideLabel ? 'sr-only' : 'label block'}>{label}</label>
	<span class="inline-flex items-center gap-1.5">
		<span class="inline-block {width}"
			><Input
				{id}
				{name}
				bind:value
				aria-invalid={wrong ? 'true' : undefined}
				aria-describedby={wrong ? `${id}-wrong` : undefined}
				{...rest}
				class="rounded-md border bg-sheet px-2 py-1.5 text-base text-ink placeholder:text-quiet focus:border-accent focus:ring-0 dark:bg-sheet dark:text-ink {wrong
					? 'border-stop'
					: 'border-edge'}"
			/></span
		>
		{#if unit}<span class="label">{unit}</span>{/if}
	</span>
	{#if wrong}<p id="{id}-wrong" class="mt-1 max-w-64 text-sm text-stop">{wrong}</p>{/if}
</div>
