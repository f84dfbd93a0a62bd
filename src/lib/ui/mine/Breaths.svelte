<script lang="ts">
	/** Breaths at a calm pace: in for four seconds, out for six. @source common-practice about six breaths a minute */
	import { onMount } from 'svelte';
	import { mineHere } from './context.ts';
	import { endOfTime } from './signal.ts';

	interface Props {
		readonly count: number;
		readonly sound: boolean;
		readonly over: () => void;
	}
	let { count, sound, over }: Props = $props();
	const { say } = mineHere();
	const IN_MS = 4000;
	const BREATH_MS = 10_000;
	let passed = $state(0);
	const at = $derived(Math.min(count, Math.floor(passed / BREATH_MS) + 1));
	const goesIn = $derived(passed % BREATH_MS < IN_MS);
	const part = $derived(
		goesIn ? (passed % BREATH_MS) / IN_MS : 1 - ((passed % BREATH_MS) - IN_MS) / (BREATH_MS - IN_MS)
	);
	onMount(() => {
		const begun = Date.now();
		const timer = setInterval(() => {
			passed = Date.now() - begun;
			if (passed < count * BREATH_MS) return;
			clearInterval(timer);
			endOfTime(sound);
			over();
		}, 100);
		return () => clearInterval(timer);
	});
</script>

<div class="text-center" role="timer" aria-live="off">
	<p class="text-3xl font-bold">{goesIn ? say('breathIn') : say('breathOut')}</p>
	<svg viewBox="0 0 60 60" class="mx-auto h-20" aria-hidden="true"
		><circle cx="30" cy="30" r={10 + 18 * Math.max(0, part)} fill="var(--accent)" opacity="0.35" /></svg
	>
	<p>{say('ofBreaths', { at, all: count })}</p>
</div>
