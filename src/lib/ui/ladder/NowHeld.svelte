<script lang="ts">
	/** Why what is given on this ladder does not hold, and what its slip says. */
	import type { ComponentProps } from 'svelte';
	import Note from '../Note.svelte';
	import Stroke from '../Stroke.svelte';

	interface Props {
		readonly clientId: string;
		readonly held: string | null | undefined;
		readonly slip: {
			readonly decision: ComponentProps<typeof Stroke>['decision'];
			readonly sentence: string;
		} | null;
	}
	let { clientId, held, slip }: Props = $props();
</script>

{#if held}<Note kind="stop" class="mt-3" data-testid="held">{held}</Note>{/if}
{#if slip}
	<a
		href="/clients/{clientId}/decide"
		class="rule mt-3 flex items-center gap-3 py-3 text-ink no-underline hover:bg-wash"
		><Stroke decision={slip.decision} /><span>{slip.sentence}</span><span class="ml-auto text-accent"
			>Decide</span
		></a
	>
{/if}
