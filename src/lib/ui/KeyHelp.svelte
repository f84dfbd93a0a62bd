<script lang="ts">
	/** The keys of this screen, shown with `?`. */
	interface Props {
		readonly keys: readonly (readonly [string, string])[];
	}
	let { keys }: Props = $props();
	let dialog = $state<HTMLDialogElement>();
	function key(e: KeyboardEvent): void {
		const target = e.target as HTMLElement | null;
		if (e.key !== '?' || (target !== null && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))) return;
		if (dialog?.open) dialog.close();
		else dialog?.showModal();
	}
</script>

<svelte:window onkeydown={key} />
<dialog bind:this={dialog} class="m-auto rounded-md border border-edge bg-sheet p-5 text-ink backdrop:bg-black/40">
	<h2 class="mb-2">Keys of this screen</h2>
	<table class="plain">
		<tbody>
			{#each [...keys, ['?', 'this list'] as const] as [k, what] (k)}
				<tr><td class="pr-6 font-mono font-semibold">{k}</td><td>{what}</td></tr>
			{/each}
		</tbody>
	</table>
	<form method="dialog" class="mt-3"><button class="text-accent underline">Close</button></form>
</dialog>
