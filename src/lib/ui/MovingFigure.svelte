<script lang="ts">
	/** A picture that moves at the step's own tempo; still, with both ends side by side, where less motion is wanted. */
	import { onMount } from 'svelte';
	import type { Picture } from '#lib/core/fit/picture.ts';
	import FigureView from './FigureView.svelte';

	interface Props {
		readonly picture: Picture;
		readonly label: string;
		readonly tempo: readonly [down: number, pause: number, up: number];
		readonly mirror?: boolean;
		readonly height?: number;
	}
	let { picture, label, tempo, mirror = false, height = 215 }: Props = $props();
	let t = $state(1);
	let playing = $state(false);
	let still = $state(false);
	onMount(() => {
		still = matchMedia('(prefers-reduced-motion: reduce)').matches;
	});
	/** Eased, so that the turning points are not jerked. */
	const ease = (x: number): number => 0.5 - 0.5 * Math.cos(Math.PI * x);
	function moment(sec: number): number {
		const [down, pause, up] = tempo;
		const rest = 0.6;
		const s = sec % (down + pause + up + rest);
		if (s < down) return ease(s / Math.max(0.1, down));
		if (s < down + pause) return 1;
		return s < down + pause + up ? 1 - ease((s - down - pause) / Math.max(0.1, up)) : 0;
	}
	$effect(() => {
		if (!playing) return;
		const began = performance.now();
		let frame = requestAnimationFrame(function run(now) {
			t = moment((now - began) / 1000);
			frame = requestAnimationFrame(run);
		});
		return () => {
			cancelAnimationFrame(frame);
			t = 1;
		};
	});
</script>

<div class="relative">
	<div class="flex items-end justify-center">
		<!-- Paper and those who want less motion get both ends. -->
		<span class={still ? '' : 'hidden print:block'}
			><FigureView figure={picture.at(0)} label="" {mirror} height={height * 0.8} tight /></span
		>
		<FigureView figure={picture.at(t)} heights {mirror} {height} tight {label} />
	</div>
	{#if !still}<button
			type="button"
			onclick={() => (playing = !playing)}
			class="no-print absolute top-0 right-0 min-h-9 cursor-pointer rounded-md px-2 text-sm text-accent underline"
			aria-pressed={playing}>{playing ? 'Stop' : `Move, ${tempo.join('–')} s`}</button
		>{/if}
</div>
