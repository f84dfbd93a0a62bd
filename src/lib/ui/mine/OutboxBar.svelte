<script lang="ts">
	/** What waits on this device, and what the practice's server did not take, each with its way out. */
	import type { Kept } from './outbox.ts';
	import { mineHere } from './context.ts';

	interface Props {
		readonly kept: readonly Kept[];
		readonly offline: boolean;
		readonly sendNow: () => void;
		readonly throwAway: (id: string) => void;
	}
	let { kept, offline, sendNow, throwAway }: Props = $props();
	const { say } = mineHere();
	const waiting = $derived(kept.filter((k) => k.parked === null));
	const parked = $derived(kept.filter((k) => k.parked !== null));
</script>

{#if waiting.length > 0}<p
		class="flex flex-wrap items-center gap-x-4 border-b border-accent bg-sheet px-4 py-2"
		role="status"
		data-testid="waiting"
	>
		{say('waiting', { count: waiting.length })}
		<button type="button" class="min-h-12 text-accent underline" onclick={sendNow}>{say('sendNow')}</button>
	</p>
{:else if offline}<p class="border-b border-edge bg-sheet px-4 py-2 text-quiet" role="status">
		{say('offline')}
	</p>{/if}
{#each parked as k (k.item.id)}<div
		class="border-b border-stop bg-sheet px-4 py-2"
		role="alert"
		data-testid="parked"
	>
		<p class="font-semibold text-stop">{say('parkedTitle')}</p>
		<p>{say('parked', { why: k.parked ?? '' })} {say('parkedShow')}</p>
		<button type="button" class="min-h-12 text-accent underline" onclick={() => throwAway(k.item.id)}
			>{say('parkedDrop')}</button
		>
	</div>{/each}
