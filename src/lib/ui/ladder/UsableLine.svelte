<script lang="ts">
	/** What a side can use now of a joint action, and where that number comes from. */
	import type { Axis, Side } from '#lib/core/body/axis.ts';
	import type { FitContext } from '#lib/core/movement/context.ts';
	import { type AxisLimit, usableOf } from '#lib/core/movement/limits.ts';
	import { ago } from '#lib/wording/days.ts';
	import { AXIS_NAME } from '#lib/wording/names.ts';

	interface Props {
		readonly axis: Axis;
		readonly side: Side;
		readonly limit: AxisLimit;
		readonly error: number;
		/** As it was measured, not as it is tried. */
		readonly measured: NonNullable<FitContext['envelope'][Axis]>[Side];
		readonly trying: boolean;
		readonly today: string;
	}
	let { axis, side, limit, error, measured, trying, today }: Props = $props();
	const line = $derived(usableOf(limit, error));
	const from = $derived(
		measured?.from === 'observed'
			? 'seen in sessions'
			: measured?.from === 'painful-set'
				? 'lowered by a painful set'
				: trying
					? 'tried'
					: 'measured'
	);
	const when = $derived(measured && !trying ? `, ${ago(measured.date, today)}` : '');
</script>

<p class="label mt-1">
	{AXIS_NAME[axis]} each step asks, against what the {side} side can use now:
	{#if line?.by === 'protocol'}
		<strong class="text-ink">{Math.round(line.deg)}°</strong> (protocol limit {limit.allowed?.maxDeg}°, less {error}°
		model error{limit.kind === 'known' ? '' : '; the joint itself is not measured'})
	{:else if limit.kind === 'known'}
		<strong class="text-ink">{Math.round(limit.limit - limit.margin)}°</strong>
		({from}
		{Math.round(limit.limit)}°{when}, less {limit.margin}° margin; ± {error}° model error)
	{:else}<strong class="text-caution"
			>{limit.reason === 'stale' ? 'too old, measure again' : 'not measured'}</strong
		>{/if}
</p>
