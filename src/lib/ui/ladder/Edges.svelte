<script lang="ts">
	/** The edges from a step, each with the dial it turns and what it waits for. */
	interface Props {
		readonly edges: readonly {
			readonly id: string;
			readonly title: string;
			readonly dial: string;
			readonly waits: string;
		}[];
		readonly choose: (step: string) => void;
	}
	let { edges, choose }: Props = $props();
</script>

{#if edges.length > 0}
	<ul class="rule mt-3 pt-2 text-sm" aria-label="What comes next" data-testid="edges">
		{#each edges as e (e.id)}
			<li class="py-0.5">
				<span class="label">next, turning {e.dial}:</span>
				<button type="button" class="cursor-pointer text-accent underline" onclick={() => choose(e.id)}
					>{e.title}</button
				>
				<span class={e.waits ? 'text-caution' : 'text-tolerated'}>{e.waits === '' ? 'open' : e.waits}</span>
			</li>
		{/each}
	</ul>
{/if}
