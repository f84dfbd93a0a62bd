<script lang="ts">
	/** The end of an episode: what it ends, and why. */
	import { enhance } from '$app/forms';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import Fold from '../Fold.svelte';
	import { sending } from '../sending.ts';

	interface Props {
		readonly formId: string;
		readonly inPlan: number;
		readonly wrong: string | undefined;
		readonly say: (text: string) => void;
	}
	let { formId, inPlan, wrong, say }: Props = $props();
</script>

<div class="no-print mt-6 border-t pt-3">
	<Fold title="End the episode" needed={wrong !== undefined} class="text-accent">
		<form
			method="POST"
			action="?/episode"
			class="flex flex-wrap items-end gap-3 pb-1"
			use:enhance={sending(say)}
			novalidate
		>
			<input type="hidden" name="id" value={formId} />
			<p class="w-full">
				{inPlan === 0
					? 'Nothing is in the plan.'
					: `${inPlan === 1 ? 'One exercise ends' : `${inPlan} exercises end`} with it.`} How the goals stand is
				kept with the reason, and the client is found among all clients from then on.
			</p>
			<Field of="episode" name="reason" label="How it ended" {wrong} width="w-80 max-w-full" />
			<Act kind="danger">End the episode</Act>
		</form>
	</Fold>
</div>
