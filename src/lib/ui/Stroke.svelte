<script lang="ts">
	/** The state strokes: up, level, down, hollow, octagon. Shape first, colour second; the word always stands beside it. */
	import type { Decision } from '#lib/core/decision/trace.ts';

	interface Props {
		readonly decision: Decision | 'quiet';
		readonly size?: number;
	}
	let { decision, size = 26 }: Props = $props();
</script>

<svg width={size} height={size} viewBox="0 0 26 26" aria-hidden="true" class="shrink-0">
	{#if decision === 'advance'}
		<path d="M4 20 L21 6" stroke="var(--tolerated)" stroke-width="4" stroke-linecap="round" />
	{:else if decision === 'hold'}
		<path d="M4 13 H22" stroke="var(--ink)" stroke-width="4" stroke-linecap="round" />
	{:else if decision === 'regress'}
		<path d="M4 6 L21 20" stroke="var(--caution)" stroke-width="4" stroke-linecap="round" />
	{:else if decision === 'wait'}
		<rect x="3.5" y="10" width="19" height="6" rx="3" fill="none" stroke="var(--quiet)" stroke-width="1.8" />
	{:else if decision === 'stop' || decision === 'refer'}
		<path d="M9 3 H17 L23 9 V17 L17 23 H9 L3 17 V9 Z" fill="var(--stop)" />
		{#if decision === 'refer'}<path
				d="M9 13 H16 M13 9.6 L16.6 13 L13 16.4"
				stroke="var(--paper)"
				stroke-width="2"
				fill="none"
			/>{/if}
	{:else}
		<circle cx="13" cy="13" r="2.5" fill="var(--quiet)" />
	{/if}
</svg>
