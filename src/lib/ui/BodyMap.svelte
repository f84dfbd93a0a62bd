<script lang="ts">
	/** Where it hurts: two figures to press on. One tab stop; arrows move to the nearest place that way, Enter chooses. */
	import { regionName } from '#lib/wording/names.ts';
	import { OUTLINE, PLACES, type Place } from './body-map.ts';

	interface Props {
		readonly chosen: string;
		/** Regions with a complaint, and how bad it gets there. */
		readonly sore: Readonly<Record<string, number>>;
		readonly choose: (region: string) => void;
	}
	let { chosen, sore, choose }: Props = $props();
	const GAP = 176;
	const x = (p: Place): number =>
		(p.view === 'back' ? GAP : 0) + (p.mirrored ? 160 - p.shape.cx : p.shape.cx);
	let active = $state(PLACES.findIndex((p) => p.region === 'knee-right'));
	const nodes: (SVGGElement | undefined)[] = $state([]);

	const TOWARD: Readonly<Record<string, readonly [number, number]>> = {
		ArrowLeft: [-1, 0],
		ArrowRight: [1, 0],
		ArrowUp: [0, -1],
		ArrowDown: [0, 1]
	};
	function move(event: KeyboardEvent): void {
		const here = PLACES[active] as Place;
		if (event.key === 'Enter' || event.key === ' ') {
			event.preventDefault();
			choose(here.region);
			return;
		}
		const way = TOWARD[event.key];
		if (way === undefined) return;
		event.preventDefault();
		const far = (p: Place): number => {
			const [dx, dy] = [x(p) - x(here), p.shape.cy - here.shape.cy];
			const ahead = dx * way[0] + dy * way[1];
			return ahead <= 0 ? Infinity : ahead + 2.2 * Math.abs(dx * way[1] + dy * way[0]);
		};
		const best = PLACES.reduce((b, p, i) => (far(p) < far(PLACES[b] as Place) ? i : b), active);
		if (far(PLACES[best] as Place) === Infinity) return;
		active = best;
		nodes[best]?.focus();
	}
</script>

<svg
	viewBox="8 14 322 372"
	class="w-full max-w-md"
	role="group"
	aria-label="Body map; the list beside it does the same"
>
	{#each [0, GAP] as dx, i (dx)}
		<g transform="translate({dx} 0)" fill="var(--far)" stroke="var(--edge)" stroke-width="1" opacity="0.75">
			<circle cx="80" cy="34" r="15" />
			<path d="M74 46H86V60H74Z" stroke="none" />
			<path d="{OUTLINE}L80.5 208L80.5 60Z" stroke="none" />
			<path d={OUTLINE} fill="none" />
			<g transform="translate(160 0) scale(-1 1)"
				><path d="{OUTLINE}L80.5 208L80.5 60Z" stroke="none" /><path d={OUTLINE} fill="none" /></g
			>
		</g>
		<text x={dx + 80} y="380" text-anchor="middle" font-size="12" fill="var(--quiet)"
			>{i === 0 ? 'front' : 'back'}</text
		>
		<text x={dx + 24} y="30" font-size="13" font-weight="700" fill="var(--quiet)">{i === 0 ? 'R' : 'L'}</text>
		<text x={dx + 136} y="30" text-anchor="end" font-size="13" font-weight="700" fill="var(--quiet)"
			>{i === 0 ? 'L' : 'R'}</text
		>
	{/each}
	{#each PLACES as p, i (`${p.view} ${p.region}`)}
		{@const bad = sore[p.region]}
		<g
			bind:this={nodes[i]}
			role="button"
			tabindex={i === active ? 0 : -1}
			aria-pressed={chosen === p.region}
			aria-label="{regionName(p.region)}, {p.view}{bad === undefined ? '' : `, worst ${bad}`}"
			class="cursor-pointer"
			onclick={() => ((active = i), choose(p.region))}
			onkeydown={move}
			onfocus={() => (active = i)}
		>
			<ellipse
				cx={x(p)}
				cy={p.shape.cy}
				rx={p.shape.rx}
				ry={p.shape.ry}
				fill={bad === undefined ? 'var(--sheet)' : 'var(--stop)'}
				fill-opacity={bad === undefined ? (chosen === p.region ? 0.9 : 0.35) : 0.35 + 0.06 * bad}
				stroke={chosen === p.region ? 'var(--accent)' : bad === undefined ? 'var(--edge)' : 'var(--stop)'}
				stroke-width={chosen === p.region ? 3 : 1}
				stroke-dasharray={bad === undefined && chosen !== p.region ? '2 2.5' : undefined}
			/>
			{#if bad !== undefined}<text
					x={x(p)}
					y={p.shape.cy + 4}
					text-anchor="middle"
					font-size="11"
					font-weight="700"
					fill="var(--ink)">{bad}</text
				>{/if}
		</g>
	{/each}
</svg>
