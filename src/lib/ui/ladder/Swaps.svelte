<script lang="ts">
	/** Other ways of the same purpose that are open to this client with what is free. */
	import type { Equipment, Step } from '#lib/core/exercise/family.ts';
	import type { Substitute } from '#lib/core/fit/substitutes.ts';
	import { EQUIPMENT_NAME, VERDICT_WORD } from '#lib/wording/names.ts';
	import { setupText } from '#lib/wording/setup.ts';
	import Tick from '../Tick.svelte';

	interface Props {
		readonly clientId: string;
		readonly step: Step;
		readonly swaps: readonly Substitute[];
		readonly soreJoint: string;
		busy: Equipment[];
	}
	let { clientId, step, swaps, soreJoint, busy = $bindable() }: Props = $props();
	const kit = $derived([
		...new Set((step.equipment ?? []).flatMap((any) => (typeof any === 'string' ? [any] : [...any])))
	]);
	const about = (s: Substitute): string =>
		[
			`${Math.round(s.serves * 100)} % of its purpose${s.load === null ? '' : `, ${soreJoint} ${Math.round(s.load)} N·m`}`,
			`${VERDICT_WORD[s.fit.verdict]}${s.fit.setup === null ? '' : `, ${setupText(s.fit.setup)}`}`
		].join(' · ');
</script>

{#if kit.length > 0}
	<div class="flex flex-wrap gap-x-4 text-sm">
		<span class="label">Taken just now:</span>{#each kit as e (e)}<Tick
				value={e}
				label={EQUIPMENT_NAME[e]}
				bind:among={busy}
			/>{/each}
	</div>
{/if}
<ol class="text-sm" data-testid="swaps">
	{#each swaps as s (s.step.id)}
		<li class="rule flex items-baseline gap-2 py-1">
			<a class="underline" href="/clients/{clientId}/ladder?family={s.family.id}&step={s.step.id}"
				>{s.step.title}</a
			>
			<span class="text-quiet">{about(s)}</span>
		</li>
	{:else}<li class="label">Nothing else of this purpose is open with what is free.</li>{/each}
</ol>
