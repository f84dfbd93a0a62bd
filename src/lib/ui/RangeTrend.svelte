<script lang="ts">
	/** One joint action over time, left and right: small steps, last value written out. */
	interface Props {
		readonly points: readonly {
			readonly day: number;
			readonly value: number;
			readonly side: 'left' | 'right';
		}[];
	}
	let { points }: Props = $props();
	const xs = $derived(points.map((p) => p.day));
	const ys = $derived(points.map((p) => p.value));
	const x = $derived(
		(d: number) => 8 + (190 * (d - Math.min(...xs))) / Math.max(1, Math.max(...xs) - Math.min(...xs))
	);
	const y = $derived(
		(v: number) => 62 - (52 * (v - Math.min(...ys) + 2)) / Math.max(4, Math.max(...ys) - Math.min(...ys) + 4)
	);
	const lastOf = (s: 'left' | 'right'): number => points.filter((p) => p.side === s).at(-1)?.value ?? NaN;
	const tight = $derived(Math.abs(y(lastOf('left')) - y(lastOf('right'))) < 13);
	const path = (side: 'left' | 'right'): string =>
		points
			.filter((p) => p.side === side)
			.map((p, i) => `${i === 0 ? 'M' : 'L'}${x(p.day).toFixed(1)} ${y(p.value).toFixed(1)}`)
			.join('');
</script>

<svg viewBox="0 0 260 70" class="w-full" aria-hidden="true">
	{#each ['left', 'right'] as const as side (side)}
		{@const own = points.filter((p) => p.side === side)}
		{@const last = own[own.length - 1]}
		<path
			d={path(side)}
			fill="none"
			stroke={side === 'right' ? 'var(--ink)' : 'var(--edge)'}
			stroke-width="1.8"
			stroke-dasharray={side === 'right' ? undefined : '4 3'}
		/>
		{#each own as p, i (i)}<circle
				cx={x(p.day)}
				cy={y(p.value)}
				r="2.6"
				fill={side === 'right' ? 'var(--ink)' : 'var(--edge)'}
			/>{/each}
		{#if last}<text
				x="206"
				y={y(last.value) + 4 + (tight ? (side === 'right' ? 7 : -5) : 0)}
				font-size="11"
				fill="var(--ink)">{side === 'right' ? 'R' : 'L'} {Math.round(last.value)}°</text
			>{/if}
	{/each}
</svg>
