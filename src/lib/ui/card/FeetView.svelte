<script lang="ts">
	/** The feet from above: how far apart, in widths of the hips, and how far the toes turn out. */
	import type { Feet } from '#lib/core/exercise/family.ts';

	interface Props {
		readonly feet: Feet;
	}
	let { feet }: Props = $props();
	/** Half a hip's width on the picture; a foot is one and a half hip widths long. @source common-practice */
	const HALF = 15;
	const SOLE = 'M -6 18 C -8 4 -9 -12 -7 -20 C -5 -27 5 -27 6 -19 C 7 -10 6 4 5 18 C 4 24 -5 24 -6 18 Z';
	const widths = $derived(feet.widths ?? 1);
	const out = $derived(feet.outDeg ?? 0);
	const words = $derived(
		`Feet ${widths === 1 ? 'hip-wide' : `${widths} hip widths apart`}, toes ${out}° out`
	);
</script>

<svg viewBox="-46 -36 92 68" class="h-16 w-22 shrink-0" role="img" aria-label={words}>
	{#each [-1, 1] as side (side)}
		<path
			d={SOLE}
			transform="translate({side * HALF * widths} 0) rotate({side * out}) scale({-side} 1)"
			class="fill-quiet/30 stroke-ink"
			stroke-width="1.2"
		/>
	{/each}
	<line x1={-HALF} x2={HALF} y1="30" y2="30" class="stroke-accent" stroke-width="1.5" />
</svg>
