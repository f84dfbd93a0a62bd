<script lang="ts">
	/** Seconds that run down: a hold, a rest. At its end a tone and a tremble, each only where it is wanted and there is one. */
	import { onMount } from 'svelte';
	import { endOfTime } from './signal.ts';

	interface Props {
		/** ms of the clock at which it is over. */
		readonly until: number;
		readonly sound: boolean;
		readonly over: () => void;
	}
	let { until, sound, over }: Props = $props();
	let left = $state(0);
	onMount(() => {
		// By the clock, not by counting ticks: a phone that slept wakes up where it is.
		const now = (): number => Math.max(0, Math.ceil((until - Date.now()) / 1000));
		left = now();
		const timer = setInterval(() => {
			left = now();
			if (left > 0) return;
			clearInterval(timer);
			endOfTime(sound);
			over();
		}, 250);
		return () => clearInterval(timer);
	});
</script>

<p class="text-center text-6xl font-bold tabular-nums" role="timer" aria-live="off">{left}</p>
