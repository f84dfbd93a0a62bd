<script lang="ts">
	/** Ranges tried out, in degrees tolerable: nothing of it is saved. */
	import type { Axis } from '#lib/core/body/axis.ts';
	import type { Envelope } from '#lib/core/client/envelope.ts';
	import { AXIS_NAME, sideWord } from '#lib/wording/names.ts';
	import Field from '../Field.svelte';

	interface Props {
		readonly axes: readonly Axis[];
		readonly envelope: Envelope;
		readonly clientId: string;
		/** By axis and side; empty is as measured. */
		tried: Record<string, string>;
		readonly trying: boolean;
	}
	let { axes, envelope, clientId, tried = $bindable(), trying }: Props = $props();
	const nameOf = (a: Axis): string => (a === 'weightBearingDorsiflexion' ? 'Ankle' : AXIS_NAME[a]);
</script>

<div class="rule mt-3 flex flex-wrap items-end gap-x-5 gap-y-2 pt-3" role="group" aria-label="Try a range">
	<p class="label w-20">Try a range, degrees</p>
	{#each axes as a (a)}
		<div class="flex items-end gap-1.5">
			{#each ['right', 'left'] as const as s (s)}
				<Field
					name="try.{a}.{s}"
					label="{nameOf(a)} {sideWord(s).charAt(0)}"
					bind:value={tried[`${a}.${s}`]}
					placeholder={String(Math.round(envelope[a]?.[s]?.tolerable ?? 0) || '–')}
					inputmode="decimal"
					width="w-14"
				/>
			{/each}
		</div>
	{/each}
	{#if trying}<button
			type="button"
			class="cursor-pointer pb-2 text-accent underline"
			onclick={() => (tried = {})}>As measured</button
		>{/if}
	<a href="/clients/{clientId}/measure" class="pb-2">Enter a measurement</a>
</div>
