<script lang="ts">
	/** What stands in the way of a step, or is asked with it, before its numbers. */
	import type { StepFit } from '#lib/core/fit/fit.ts';
	import { missingText, positionsText } from '#lib/wording/fit.ts';
	import { easedText, withheldText } from '#lib/wording/screening.ts';
	import Note from '../Note.svelte';

	interface Props {
		readonly fit: StepFit;
		/** How much more upright the shins stand than taught; empty where they stand as taught. */
		readonly upright: string;
	}
	let { fit, upright }: Props = $props();
	const withheld = $derived(withheldText(fit.withheld));
	const missing = $derived(missingText(fit));
	const no = $derived(positionsText(fit, 'no'));
	const ask = $derived(positionsText(fit, 'unknown'));
</script>

{#if missing}<Note kind="plain" class="mt-1">Not at hand: {missing}.</Note>{/if}
{#if upright}<p class="mt-1 text-sm" data-testid="upright">
		{upright[0]?.toUpperCase()}{upright.slice(1)}: it spares knee or ankle and asks a longer lean. Show it:
		the numbers hold for this way only.
	</p>{/if}
{#if fit.onBed}<p class="label mt-1" data-testid="on-bed">
		On the bed or couch: nobody has to get down to the floor.
	</p>{/if}
{#if no}<Note class="mt-1">Not tolerated: {no}. Another way of the same purpose is below.</Note>{/if}
{#if ask}<p class="mt-1 text-sm text-caution">Ask first: {ask}.</p>{/if}
{#if withheld}<Note class="mt-1">Withheld: {withheld}.</Note>{/if}
{#if fit.eased.length > 0}<Note class="mt-1 text-sm">{easedText(fit.eased)}</Note>{/if}
