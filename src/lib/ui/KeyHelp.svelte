<script lang="ts">
	/** The keys of this screen: a hint at the foot of a desk, the list with `?`, and the switch for those who want none. */
	import { onMount } from 'svelte';
	import { keysAreOn, turnKeys } from './keys.ts';

	interface Props {
		readonly keys: readonly (readonly [string, string])[];
	}
	let { keys }: Props = $props();
	let dialog = $state<HTMLDialogElement>();
	let on = $state(true);
	onMount(() => void (on = keysAreOn()));
	function toggle(): void {
		if (dialog?.open) dialog.close();
		else dialog?.showModal();
	}
	function key(e: KeyboardEvent): void {
		const target = e.target as HTMLElement | null;
		if (e.key !== '?' || (target !== null && /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName))) return;
		toggle();
	}
</script>

<svelte:window onkeydown={key} />
<button
	type="button"
	onclick={toggle}
	class="no-print fixed right-3 bottom-2 z-10 cursor-pointer rounded-md border bg-paper px-2 py-0.5 text-sm text-quiet max-lg:hidden"
	data-testid="keys-hint"><kbd class="font-mono font-semibold">?</kbd> keys{on ? '' : ' are off'}</button
>
<dialog
	bind:this={dialog}
	class="m-auto rounded-md border border-edge bg-sheet p-5 text-ink backdrop:bg-black/40"
>
	<h2 class="mb-2">Keys of this screen</h2>
	<table class="plain">
		<tbody>
			{#each [...keys, ['?', 'this list'] as const] as [k, what] (k)}
				<tr><td class="pr-6 font-mono font-semibold">{k}</td><td>{what}</td></tr>
			{/each}
		</tbody>
	</table>
	<label class="mt-3 flex min-h-9 items-center gap-2"
		><input
			type="checkbox"
			bind:checked={on}
			onchange={() => turnKeys(on)}
			class="size-5 accent-(--accent)"
		/> single keys act on this device</label
	>
	<form method="dialog" class="mt-3"><button class="text-accent underline">Close</button></form>
</dialog>
