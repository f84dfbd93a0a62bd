<script lang="ts">
	/** One axis and side on a line of degrees: pain-free, tolerable, end, what is usable now, the protocol's wall, what is usual. */
	import { RANGES } from '#lib/catalogue/ranges.ts';
	import type { EnvelopeRow } from '#lib/contract/view.ts';

	interface Props {
		readonly row: EnvelopeRow;
	}
	let { row }: Props = $props();
	const W = 420;
	const top = $derived(RANGES[row.axis].axis === 'weightBearingDorsiflexion' ? 55 : 165);
	const x = $derived((deg: number): number => 4 + ((W - 8) * Math.max(0, Math.min(top, deg))) / top);
	const ticks = $derived(top === 55 ? [0, 10, 20, 30, 40, 50] : [0, 30, 60, 90, 120, 150]);
	const k = $derived(row.known);
	const error = $derived(row.method?.errorDeg ?? 0);
</script>

<svg viewBox="0 0 {W} 44" class="w-full max-w-lg" aria-hidden="true">
	{#each ticks as t (t)}
		<path d="M{x(t)} 26V31" stroke="var(--edge)" />
		<text x={x(t)} y="42" font-size="10" text-anchor="middle" fill="var(--quiet)">{t}°</text>
	{/each}
	<path d="M{x(0)} 26H{x(top)}" stroke="var(--hairline)" stroke-width="2" />
	{#if row.usual}<rect
			x={x(row.usual.low) - 1}
			y="6"
			width={Math.max(2, x(row.usual.high) - x(row.usual.low))}
			height="20"
			fill="var(--edge)"
			opacity="0.28"
		/>{/if}
	{#if k}
		<rect x={x(0)} y="12" width={x(k.end) - x(0)} height="14" fill="var(--bar)" opacity="0.4" />
		<rect x={x(0)} y="12" width={x(k.tolerable) - x(0)} height="14" fill="var(--bar)" />
		<rect
			x={x(0)}
			y="12"
			width={x(k.painFree) - x(0)}
			height="14"
			fill="var(--tolerated)"
			opacity={k.stale ? 0.35 : 0.75}
		/>
		<path
			d="M{x(k.tolerable - error)} 9H{x(k.tolerable + error)}M{x(k.tolerable - error)} 6V12M{x(
				k.tolerable + error
			)} 6V12"
			stroke="var(--ink)"
			stroke-width="1.3"
		/>
	{:else}
		<text x={x(0) + 6} y="22" font-size="12" fill="var(--caution)">not measured</text>
	{/if}
	{#if row.protocolMax !== null}<path
			d="M{x(row.protocolMax)} 2V30"
			stroke="var(--stop)"
			stroke-width="3"
		/><text x={x(row.protocolMax) + 5} y="9" font-size="10" fill="var(--stop)">limit {row.protocolMax}°</text
		>{/if}
	{#if row.usable !== null && !k?.stale}<path
			d="M{x(row.usable)} 8V30"
			stroke="var(--accent)"
			stroke-width="2"
			stroke-dasharray="3 2"
		/>{/if}
</svg>
