<script lang="ts">
	/** A figure that moves at its tempo through drawn moments; still where less motion is wanted. */
	import { onMount } from 'svelte';
	import type { Figure } from '#lib/core/figure/shape.ts';
	import FigureView from '../FigureView.svelte';
	import { beat } from './signal.ts';
	import { momentAt, partAt, type Part, type Tempo } from './tempo.ts';

	interface Props {
		readonly frames: readonly Figure[];
		readonly label: string;
		readonly tempo: Tempo;
		/** Its beat is heard. */
		readonly heard?: boolean;
		readonly mirror?: boolean;
		readonly moving?: boolean;
		readonly height?: number;
	}
	let { frames, label, tempo, mirror = false, moving = true, heard = false, height = 300 }: Props = $props();
	let at = $state(1);
	let less = $state(false);
	onMount(() => {
		less = matchMedia('(prefers-reduced-motion: reduce)').matches;
	});
	$effect(() => {
		if (!moving || less) {
			at = 1;
			return;
		}
		const began = performance.now();
		let was: Part = 'between';
		let frame = requestAnimationFrame(function run(now) {
			const sec = (now - began) / 1000;
			at = momentAt(sec, tempo);
			const part = partAt(sec, tempo);
			if (part !== was && heard && (part === 'down' || part === 'up')) beat(part);
			was = part;
			frame = requestAnimationFrame(run);
		});
		return () => cancelAnimationFrame(frame);
	});
	const shown = $derived(frames[Math.round(at * (frames.length - 1))]);
</script>

{#if shown}<FigureView figure={shown} {label} {mirror} {height} heights tight />{/if}
