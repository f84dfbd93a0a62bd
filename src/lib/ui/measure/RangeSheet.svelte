<script lang="ts">
	/** The ranges of a sheet, joint by joint, both sides in a row. */
	import type { ComponentProps } from 'svelte';
	import { RANGES } from '#lib/catalogue/ranges.ts';
	import type { Side } from '#lib/core/body/axis.ts';
	import { RANGE_IDS, type RangeId } from '#lib/core/measure/range-kind.ts';
	import RangeRow from '../RangeRow.svelte';

	type Row = ComponentProps<typeof RangeRow>;
	interface Props extends Omit<Row, 'kind' | 'ids' | 'last' | 'onfocus'> {
		/** Two ids a range, in the order of the ranges. */
		readonly ids: readonly string[];
		readonly last: Readonly<Partial<Record<RangeId, Row['last']>>>;
		/** The regions under treatment. */
		readonly sore: readonly string[];
		readonly onfocus: (kind: RangeId, side: Side) => void;
	}
	let { ids, last, onfocus, sore, ...shared }: Props = $props();
	const JOINTS = ['knee', 'hip and trunk', 'hip', 'ankle', 'big toe', 'back'] as const;
	/** What is sore is read first; a back before the rest of it. */
	const first = $derived(sore.some((r) => r.startsWith('back')) ? (['back'] as const) : []);
	const order = $derived([...first, ...JOINTS.filter((j) => j !== first[0])]);
	const inOrder = $derived(order.flatMap((joint) => RANGE_IDS.filter((id) => RANGES[id].joint === joint)));
</script>

<div
	class="grid grid-cols-[10.5rem_15rem_15rem_1fr] gap-x-3 pt-1 text-xs text-quiet max-lg:hidden"
	aria-hidden="true"
>
	<span></span>
	{#each ['Left', 'Right'] as s (s)}<span
			><span class="block text-sm font-bold text-ink">{s}</span><span class="flex gap-1"
				>{#each ['onset', 'tolerable', 'end', 'pain'] as h (h)}<span
						class="w-[3.1rem] text-center leading-tight whitespace-nowrap">{h}</span
					>{/each}</span
			></span
		>{/each}
	<span class="self-end">difference, usual</span>
</div>
{#each inOrder as id (id)}
	{@const i = RANGE_IDS.indexOf(id)}
	<RangeRow
		{...shared}
		kind={RANGES[id]}
		ids={[ids[2 * i] as string, ids[2 * i + 1] as string]}
		last={last[id] ?? {}}
		onfocus={(side) => onfocus(id, side)}
	/>
{/each}
