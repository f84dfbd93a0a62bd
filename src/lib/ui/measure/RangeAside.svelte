<script lang="ts">
	/** The movement in focus, drawn at what was typed or read last. */
	import { RANGES } from '#lib/catalogue/ranges.ts';
	import type { Side } from '#lib/core/body/axis.ts';
	import type { RangeId } from '#lib/core/measure/range-kind.ts';
	import RangeFigure from '../RangeFigure.svelte';

	interface Props {
		readonly target: string;
		readonly kind: RangeId;
		readonly side: Side;
		readonly degrees: number | undefined;
		readonly usual: { readonly low: number; readonly high: number } | undefined;
	}
	let { target, kind, side, degrees, usual }: Props = $props();
	const span = $derived(
		usual === undefined
			? ''
			: `; usual ${Math.round(usual.low)}${usual.high === usual.low ? '' : `–${Math.round(usual.high)}`}°`
	);
</script>

<div
	class="sheet px-4 py-2 max-sm:hidden max-2xl:grid max-2xl:grid-cols-[9rem_1fr] max-2xl:items-center max-2xl:gap-x-4 max-2xl:[&_svg]:max-h-24"
>
	<RangeFigure {kind} {degrees} mirror={side === 'left'} />
	<div>
		<h3>{target}</h3>
		<p class="label">{degrees === undefined ? RANGES[kind].how : `${Math.round(degrees)}°${span}`}</p>
	</div>
</div>
