<script lang="ts">
	/** Seconds that run down: a hold, a rest. At its end a tone and a tremble, each only where it is wanted and there is one. */
	import { onMount } from 'svelte';
	import { endOfTime } from './signal.ts';

	interface Props {
		readonly seconds: number;
		readonly sound: boolean;
		readonly over: () => void;
	}
	let { seconds, sound, over }: Props = $props();
	let left = $state(0);
	onMount(() => {
		left = seconds;
		// By the clock, not by counting ticks: a phone that slept wakes up where it is.
		const end = Date.now() + seconds * 1000;
		const timer = setInterval(() => {
			left = Math.max(0, Math.ceil((end - Date.now()) / 1000));
			if (left > 0) return;
			clearInterval(timer);
			endOfTime(sound);
			over();
		}, 250);
		return () => clearInterval(timer);
	});
</script>

<p class="text-center text-6xl font-bold tabular-nums" role="timer" aria-live="off">{left}</p>
