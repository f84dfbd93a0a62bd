<script lang="ts">
	/** Flags that hold work, closed here by a licensed user with the reason. */
	import { enhance } from '$app/forms';
	import { shortDay } from '#lib/wording/days.ts';
	import Act from '../Act.svelte';
	import Field from '../Field.svelte';
	import type { sending } from '../sending.ts';

	interface Props {
		readonly clientId: string;
		readonly flags: readonly { readonly id: string; readonly name: string; readonly day: string }[];
		readonly closeId: string;
		readonly settled: ReturnType<typeof sending>;
		readonly wrong: (field: string) => string | undefined;
	}
	let { clientId, flags, closeId, settled, wrong }: Props = $props();
	let note = $state('');
</script>

<section class="rule mt-6 pt-3" aria-label="Open flags">
	<h3>Open flags</h3>
	<p class="label">
		What was cleared outside the practice is entered, with its document, under <a
			href="/clients/{clientId}/screen">Screen</a
		>.
	</p>
	{#each flags as f (f.id)}
		<form
			method="POST"
			action="?/close-flag"
			class="mt-2 flex flex-wrap items-end gap-3"
			use:enhance={settled}
		>
			<input type="hidden" name="id" value={closeId} />
			<input type="hidden" name="flagId" value={f.id} />
			<span class="pb-2 font-semibold text-stop">{f.name}, since {shortDay(f.day)}</span>
			<Field
				of={f.id}
				name="note"
				label="Closed because"
				bind:value={note}
				wrong={wrong('note')}
				width="w-80"
			/>
			<Act kind="danger">Close the flag</Act>
		</form>
	{/each}
</section>
