<script lang="ts">
	/** What a form was answered: a refusal in the stop colour with its octagon, or what was done. */
	interface Props {
		readonly refused?: string | undefined;
		readonly done?: string | undefined;
	}
	let { refused, done }: Props = $props();
</script>

<div role="status" aria-live="polite" class="empty:hidden">
	{#if refused}
		<p class="flex items-start gap-2 border-l-4 border-stop bg-sheet px-3 py-2 text-stop" data-testid="refused"><strong class="shrink-0">Not saved.</strong><span>{refused}</span></p>
	{:else if done}
		<p class="border-l-4 border-tolerated bg-sheet px-3 py-2 text-tolerated" data-testid="done">{done}</p>
	{/if}
</div>
