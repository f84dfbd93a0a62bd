<script lang="ts">
	/** What a session raised that is acted on at once; whom to call is the practice's own number. */
	import { house } from './house.ts';

	interface Props {
		readonly form: unknown;
	}
	let { form }: Props = $props();
	const raised = $derived(
		(form ?? {}) as { readonly emergency?: boolean; readonly alarms?: readonly string[] }
	);
	const here = $derived(house());
</script>

{#if raised.emergency === true}
	<div role="alert" class="mb-4 border-4 border-stop bg-sheet p-4" data-testid="emergency">
		<h2 class="text-stop">End the session. Call {here.emergency || 'the emergency number'} now.</h2>
		{#if here.emergencyWords}<p class="font-semibold">{here.emergencyWords}</p>{/if}
		{#each raised.alarms ?? [] as a (a)}<p>{a}</p>{/each}
		<p>Stay with the client. A red flag is open; nothing goes on until a licensed user closes it.</p>
	</div>
{:else}{#each raised.alarms ?? [] as a (a)}<p
			class="mb-3 border-4 border-stop px-3 py-2 font-semibold text-stop"
			role="alert"
			data-testid="alarm"
		>
			{a}
		</p>{/each}{/if}
