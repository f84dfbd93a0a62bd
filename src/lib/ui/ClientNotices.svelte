<script lang="ts">
	/** What stands before everything else of a client: flags, operations, limits, held work; cautions in one line. */
	import type { HeadView } from '#lib/contract/view.ts';
	import { URGENCY_WORD } from '#lib/wording/screening.ts';

	interface Props {
		readonly head: HeadView;
		readonly here: string | undefined;
	}
	let { head, here }: Props = $props();
	const pressing = $derived(head.flags.filter((f) => f.severity !== 'caution'));
	const cautions = $derived(head.flags.filter((f) => f.severity === 'caution'));
	/** Pages that say themselves what is held. */
	const heldHere = $derived(here !== 'decide' && here !== 'log' && here !== 'arrive' ? head.held : []);
	const any = $derived(
		pressing.length + cautions.length + head.operations.length + head.limits.length + heldHere.length > 0
	);
	/** Cautions that fit one line of a desk. */
	const FEW = 4;
</script>

{#if any}
	<section aria-label="Before everything" class="border-b px-7 py-2 max-sm:px-4">
		<ul class="flex flex-col gap-1 text-sm">
			{#each pressing as f (f.id)}
				<li class="flex items-start gap-2 font-semibold text-stop">
					<svg class="mt-0.5 shrink-0" width="14" height="14" viewBox="0 0 26 26" aria-hidden="true"
						><path d="M9 3 H17 L23 9 V17 L17 23 H9 L3 17 V9 Z" fill="var(--stop)" /></svg
					>
					<span
						>{f.severity === 'review' ? 'For review' : URGENCY_WORD[f.urgency]}: {f.name}{#if here !== 'screen'}.
							<span class="font-normal">{f.action}</span>{/if}</span
					>
				</li>
			{/each}
			{#each head.operations as o (o.id)}<li
					class={o.waits ? 'font-semibold text-stop' : 'text-quiet'}
					data-testid="operation-now"
				>
					Operation: {o.text}
				</li>{/each}
			{#each head.limits as l (l.id)}
				<li class={l.overdue ? 'text-caution' : 'text-quiet'}>
					Protocol limit: {l.text}{l.review ? `, review ${l.review}` : ''}{l.overdue ? ' (overdue)' : ''}
				</li>
			{/each}
			{#each heldHere as h (h.exerciseId)}
				<li class="flex flex-wrap gap-x-3 font-semibold text-stop" data-testid="suspended">
					<span class="min-w-0">{h.text}</span>
					<a class="underline" href="/clients/{head.id}/decide?exercise={h.exerciseId}">Sign the mend</a>
				</li>
			{/each}
			{#if cautions.length > 0}
				<li class="text-caution">
					{#if cautions.length <= FEW}{@render chips()}
					{:else}<details>
							<summary class="cursor-pointer"
								>{cautions.length} cautions: {cautions
									.slice(0, 3)
									.map((c) => c.name)
									.join(', ')} and more</summary
							>
							{@render chips()}
						</details>{/if}
				</li>
			{/if}
		</ul>
	</section>
{/if}
{#snippet chips()}
	<ul class="flex flex-wrap gap-x-5">
		{#each cautions as f (f.id)}
			<li class="flex items-center gap-1.5">
				<svg width="13" height="13" viewBox="0 0 26 26" aria-hidden="true"
					><path d="M13 3 24 23H2Z" fill="none" stroke="var(--caution)" stroke-width="3" /></svg
				>Caution: {f.name}
			</li>
		{/each}
	</ul>
{/snippet}
