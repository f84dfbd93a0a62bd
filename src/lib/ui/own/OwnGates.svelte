<script lang="ts">
	/** What must be shown before a step opens: all of these. */
	import type { ShownGate } from '#lib/core/exercise/family.ts';
	import OwnGateFields from './OwnGate.svelte';
	import { gateOf, type OwnGate } from './gate-writing.ts';
	import { replaced } from './lists.ts';

	type Items = readonly { readonly value: string; readonly name: string }[];
	interface Props {
		readonly gates: readonly OwnGate[];
		readonly steps: Items;
		readonly faults: Items;
		readonly set: (gates: readonly OwnGate[]) => void;
	}
	let { gates, steps, faults, set }: Props = $props();
	const LINK = 'min-h-9 cursor-pointer text-accent underline';
</script>

<ul>
	{#each gates as gate, i (`${i}-${gate.kind}`)}
		<li class="rule flex flex-wrap items-end gap-x-3 py-1.5" data-testid="own-gate">
			<OwnGateFields
				{gate}
				of="gate-{i}"
				{steps}
				{faults}
				change={(to: OwnGate) => set(replaced(gates, i, to))}
			/>
			{#if gate.kind === 'any-of'}
				<ul class="w-full border-l-3 border-edge pl-3">
					{#each gate.gates as g, j (j)}<li class="flex flex-wrap items-end gap-x-3 py-1">
							<OwnGateFields
								gate={g}
								of="gate-{i}-{j}"
								{steps}
								{faults}
								shown
								change={(to: OwnGate) =>
									set(
										replaced(gates, i, {
											...gate,
											gates: replaced(gate.gates, j, to as ShownGate)
										})
									)}
							/>
						</li>{/each}
				</ul>
			{/if}
			<button type="button" class={LINK} onclick={() => set(replaced(gates, i, null))}>Take out</button>
		</li>
	{/each}
</ul>
<button
	type="button"
	class={LINK}
	onclick={() => set([...gates, gateOf('clean-reps', undefined, steps[0]?.value ?? '', '')])}
	>A gate more</button
>
