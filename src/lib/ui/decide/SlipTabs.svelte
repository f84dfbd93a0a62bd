<script lang="ts">
	/** The slips of a client side by side, the most pressing first. */
	import type { SlipView } from '#lib/contract/slip-view.ts';
	import { DECISION_WORD } from '#lib/wording/names.ts';
	import Stroke from '../Stroke.svelte';

	interface Props {
		readonly slips: readonly SlipView[];
		readonly shown: SlipView | undefined;
	}
	let { slips, shown }: Props = $props();
</script>

<nav aria-label="Slips of this client" class="mb-3 flex flex-wrap gap-2">
	{#each slips as s (s.exerciseId)}
		<a
			href="?exercise={s.exerciseId}"
			data-sveltekit-noscroll
			aria-current={s === shown ? 'true' : undefined}
			class="flex items-center gap-2 rounded-md border border-edge px-3 py-1.5 text-ink no-underline {s ===
			shown
				? 'bg-wash font-bold'
				: ''}"
		>
			<Stroke decision={s.decision} size={20} />{s.title}<span class="label"
				>{DECISION_WORD[s.decision].toLowerCase()}{s.answered ? ', answered' : ''}</span
			>
		</a>
	{/each}
</nav>
