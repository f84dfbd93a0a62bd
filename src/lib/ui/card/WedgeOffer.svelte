<script lang="ts">
	/** A heel wedge instead of a shallower squat. */
	import type { WedgeOption } from '#lib/core/fit/compare-techniques.ts';

	import { cmText, inUnits } from '#lib/wording/units.ts';

	interface Props {
		readonly wedge: WedgeOption;
		/** The height in use, cm; null where none is. */
		readonly inUse: number | null;
		readonly frontOfKnee: boolean;
		readonly use: (cm: number | null) => void;
	}
	let { wedge, inUse, frontOfKnee, use }: Props = $props();
	const needed = $derived(Math.ceil(wedge.neededCm * 10) / 10);
</script>

<p class="mt-1 text-sm" data-testid="wedge">
	{#if inUse !== null}<strong>On a {cmText(inUse)} heel wedge.</strong>
		<button type="button" class="cursor-pointer text-accent underline" onclick={() => use(null)}
			>Without</button
		>
	{:else}Or the full depth on a heel wedge of {cmText(needed)} ({inUnits(wedge.band.low, 'cm').toFixed(1)} to {inUnits(
			wedge.band.high,
			'cm'
		).toFixed(1)}):
		{#if wedge.haveCm === null}none here is high enough.{:else}<button
				type="button"
				class="cursor-pointer text-accent underline"
				onclick={() => use(wedge.haveCm)}>use the {cmText(wedge.haveCm)} one</button
			>.{/if}{/if}
	{#if frontOfKnee}<span class="text-caution"
			>It loads the front of the knee more, which is the sore place here.</span
		>{/if}
</p>
