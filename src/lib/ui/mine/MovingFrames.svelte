<script lang="ts">
	/** A figure that moves at its tempo through drawn moments; still where less motion is wanted. */
	import { onMount } from 'svelte';
	import type { Figure } from '#lib/core/figure/shape.ts';
	import FigureView from '../FigureView.svelte';

	interface Props {
		readonly frames: readonly Figure[];
		readonly label: string;
		readonly tempo: readonly [down: number, pause: number, up: number];
		readonly mirror?: boolean;
		readonly moving?: boolean;
		readonly height?: number;
	}
	let { frames, label, tempo, mirror = false, moving = true, height = 300 }: Props = $props();
	let at = $state(1);
	let less = $state(false);
	onMount(() => {
		less = matchMedia('(prefers-reduced-motion: reduce)').matches;
	});
	const REST = 0.6;
	function moment(sec: number): number {
		const [down, pause, up] = tempo;
		const s = sec % (down + pause + up + REST);
		if (s < down) return s / Math.max(0.1, down);
		if (s < down + pause) return 1;
		return Math.max(0, 1 - (s - down - pause) / Math.max(0.1, up));
	}
	$effect(() => {
		if (!moving || less) {
			at = 1;
			return;
		}
		const began = performance.now();
		let frame = requestAnimationFrame(function run(now) {
			at = moment((now - began) / 1000);
			frame = requestAnimationFrame(run);
		});
		return () => cancelAnimationFrame(frame);
	});
	const shown = $derived(frames[Math.round(at * (frames.length - 1))]);
</script>

{#if shown}<FigureView figure={shown} {label} {mirror} {height} heights tight />{/if}
