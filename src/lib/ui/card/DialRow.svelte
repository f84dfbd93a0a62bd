<script lang="ts">
	/** The length turned by hand, and at once what it asks beyond what is usable. */
	import Range from 'flowbite-svelte/Range.svelte';
	import { SETUP_LENGTHS } from '#lib/core/movement/set-up-length.ts';
	import { CHECK_NAME, rangeIn, sideBefore } from '#lib/wording/names.ts';
	import { LENGTH_NAME } from '#lib/wording/setup.ts';
	import { cmText } from '#lib/wording/units.ts';
	import type { CardReading } from './reading.ts';

	interface Props {
		readonly card: CardReading;
		/** Turned by hand, or on a wedge: not as solved. */
		readonly byHand: boolean;
		readonly dialled: number | null;
		readonly dial: (value: number | null) => void;
		readonly mirrorIt: () => void;
	}
	let { card, byHand, dialled, dial, mirrorIt }: Props = $props();
	const { length, shorts, asked } = $derived(card);
	const lengthText = $derived(
		length === null ? '' : length.unit === 'deg' ? `${length.value} degrees` : cmText(length.value)
	);
	const bounds = $derived(length === null ? [0, 0] : SETUP_LENGTHS[length.of].slider);
	const worst = $derived(shorts[0]);
	const ranges = $derived(
		worst === undefined
			? 'Inside what is usable.'
			: `${sideBefore(worst.axis, worst.side)}${rangeIn(worst.axis)} ${Math.ceil(worst.short)}° beyond what ${worst.by === 'protocol' ? 'the protocol limit allows' : 'is usable'}.`
	);
	const balance = $derived(
		asked.stands ? '' : ` It does not stand: ${asked.failing.map((f) => CHECK_NAME[f]).join(', ')}.`
	);
</script>

<div class="no-print flex flex-wrap items-center gap-x-3 text-sm">
	{#if length !== null}
		<label class="flex grow items-center gap-2"
			><span class="label">Turn by hand: {LENGTH_NAME[length.of]}</span>
			<Range
				appearance="auto"
				min={bounds[0]}
				max={bounds[1]}
				step="1"
				value={length.value}
				oninput={(e: Event) => dial(Number((e.currentTarget as HTMLInputElement).value))}
				class="min-h-9 w-auto grow bg-transparent accent-(--accent)"
				aria-label="{LENGTH_NAME[length.of]}, {length.unit === 'deg' ? 'degrees' : 'cm'}"
				aria-valuetext={lengthText}
				data-testid="dial"
			/></label
		>
		{#if dialled !== null}<button
				type="button"
				class="min-h-9 cursor-pointer text-accent underline"
				onclick={() => dial(null)}>As solved</button
			>{/if}
	{/if}
	<button type="button" class="min-h-9 cursor-pointer text-accent underline" onclick={mirrorIt}>Mirror</button
	>
</div>
{#if byHand}
	<p class="text-sm {worst === undefined ? 'text-tolerated' : 'text-caution'}" data-testid="dial-verdict">
		{ranges}{balance}
	</p>
{/if}
