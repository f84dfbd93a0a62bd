<script lang="ts">
	/** A solved posture drawn in the client's own proportions. Colours by role; the limiting joint is ringed. */
	import type { Figure, Role } from '#lib/core/figure/shape.ts';
	import { cmText } from '#lib/wording/units.ts';

	interface Props {
		readonly figure: Figure;
		readonly label: string;
		readonly mirror?: boolean;
		readonly heights?: boolean;
		readonly height?: number | string;
		/** Cuts the empty space above the head. */
		readonly tight?: boolean;
	}
	let { figure, label, mirror = false, heights = false, height = 200, tight = false }: Props = $props();
	const FILL: Readonly<Record<Role, string>> = {
		far: 'var(--far)',
		leg: 'var(--limb)',
		trunk: 'var(--trunk)',
		skin: 'var(--skin)',
		shoe: 'var(--shoe)',
		furniture: 'var(--wood)',
		wedge: 'var(--wood)',
		load: 'var(--iron)',
		support: 'var(--wood)',
		band: 'var(--stop)',
		soft: 'var(--far)'
	};
	/** To a tenth of a centimetre, which no screen can show: a page of ladders draws thirty figures. */
	const tenth = (cm: number): number => Math.round(cm * 10) / 10;
	const [x, full, w, tall] = $derived(figure.viewBox.map(tenth) as unknown as Figure['viewBox']);
	const y = $derived(tight ? tenth(figure.top) : full);
	const h = $derived(tenth(tall - (y - full)));
	const joints = $derived(figure.joints.map((j) => ({ ...j, x: tenth(j.x), y: tenth(j.y) })));
</script>

<svg
	viewBox="{x} {y} {w} {h}"
	{height}
	role={label === '' ? undefined : 'img'}
	aria-label={label === '' ? undefined : label}
	aria-hidden={label === '' ? 'true' : undefined}
	class="block max-w-full"
	preserveAspectRatio="xMidYMax meet"
>
	<g transform={mirror ? `scale(-1 1) translate(${-(2 * x + w)} 0)` : undefined}>
		<path d="M{x} 0.6H{x + w}" stroke="var(--edge)" stroke-width="1.2" />
		<g stroke="var(--sheet)" stroke-width="0.9" stroke-linejoin="round"
			>{#each figure.shapes as s (s.id)}<path d={s.d} fill={FILL[s.role]} />{/each}</g
		>
		<g fill="none" stroke="var(--stop)" stroke-width="2.4"
			>{#each joints as j (j.id)}{#if j.ringed}<circle cx={j.x} cy={j.y} r="8.5" />{/if}{/each}</g
		>
		<g fill="var(--sheet)" stroke="var(--shoe)" stroke-width="0.7"
			>{#each joints as j (j.id)}<circle cx={j.x} cy={j.y} r="1.7" />{/each}</g
		>
	</g>
	{#if heights}
		{#each figure.labels as l (`${l.of}-${l.x}`)}
			<text
				x={mirror ? 2 * x + w - l.x : l.x}
				y={l.y}
				font-size="9"
				fill="var(--ink)"
				text-anchor="middle"
				font-weight="600">{cmText(l.cm)}</text
			>
		{/each}
	{/if}
</svg>
