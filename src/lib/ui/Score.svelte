<script lang="ts">
	/** 0 to 10 by thumb: eleven targets in one row, 48 px high, on a phone at least 30 px wide. */
	interface Props {
		readonly name: string;
		readonly label: string;
		readonly ends?: readonly [string, string] | undefined;
		value?: string | undefined;
		readonly wrong?: string | undefined;
	}
	let { name, label, ends = ['none', 'worst'], value = $bindable(), wrong }: Props = $props();
</script>

<fieldset class="py-2" aria-describedby={wrong ? `${name}-wrong` : undefined}>
	<legend class="flex w-full items-baseline justify-between"
		><span class="font-semibold">{label}</span><span class="label">0 {ends[0]} · 10 {ends[1]}</span></legend
	>
	<div class="mt-1 grid grid-cols-11 gap-1 max-sm:gap-0.5">
		{#each { length: 11 }, n (n)}
			<label class="tile text-lg">
				<input
					type="radio"
					{name}
					value={String(n)}
					bind:group={value}
					class="sr-only"
					aria-label="{label} {n}"
				/>{n}
			</label>
		{/each}
	</div>
	{#if wrong}<p id="{name}-wrong" class="mt-1 text-sm text-stop" data-testid="field-wrong">{wrong}</p>{/if}
</fieldset>
