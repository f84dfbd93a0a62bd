<script lang="ts">
	/**
	 * Times one hold: tapped at its start and at its end, it answers whole seconds held. Watched by the phone on the limb, it ends by itself when the position is
	 * lost, at the second it was.
	 */
	import { watchHold } from './measure/hold-sensor.ts';

	interface Props {
		readonly label: string;
		/** What stands on it while nothing is timed, beside the sign. */
		readonly short: string;
		readonly onheld: (seconds: number) => void;
		/** The phone is on whoever holds. */
		readonly watch?: boolean;
		/** Watching is not possible, and why; or that the position was lost. */
		readonly said?: (text: string) => void;
	}
	let { label, short, onheld, watch = false, said = () => undefined }: Props = $props();
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
	function lost(seconds: number): void {
		navigator.vibrate?.(200);
		onheld(seconds);
		said(`Position lost after ${seconds} s, ${label}.`);
		began = undefined;
	}
	$effect(() => {
		if (began === undefined) return;
		const tick = setInterval(() => (now = performance.now()), 100);
		const deaf = watch ? watchHold(lost, said) : undefined;
		return () => {
			clearInterval(tick);
			deaf?.();
		};
	});
</script>

<button
	type="button"
	onclick={tap}
	aria-label="{began === undefined ? 'Start' : 'Stop'} the timer, {label}"
	class="min-h-12 min-w-16 cursor-pointer rounded-md border border-edge px-2 text-accent tabular-nums"
	>{began === undefined ? `▶ ${short}` : `■ ${held} s`}</button
>
