<script lang="ts">
	/** Times one hold: tapped at its start and at its end, it answers whole seconds held. */
	interface Props {
		readonly label: string;
		/** What stands on it while nothing is timed, beside the sign. */
		readonly short: string;
		readonly onheld: (seconds: number) => void;
	}
	let { label, short, onheld }: Props = $props();
	let began = $state<number>();
	let now = $state(0);
	const held = $derived(began === undefined ? 0 : Math.max(0, Math.floor((now - began) / 1000)));
	function tap(): void {
		now = performance.now();
		if (began === undefined) began = now;
		else {
			onheld(held);
			began = undefined;
		}
	}
	$effect(() => {
		if (began === undefined) return;
		const tick = setInterval(() => (now = performance.now()), 100);
		return () => clearInterval(tick);
	});
</script>

<button
	type="button"
	onclick={tap}
	aria-label="{began === undefined ? 'Start' : 'Stop'} the timer, {label}"
	class="min-h-12 min-w-16 cursor-pointer rounded-md border border-edge px-2 text-accent tabular-nums"
	>{began === undefined ? `▶ ${short}` : `■ ${held} s`}</button
>
