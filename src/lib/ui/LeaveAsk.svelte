<script lang="ts">
	/** Asked before a page is left with something typed and not kept. */
	import Dialog from './Dialog.svelte';
	import Act from './Act.svelte';
	import { leaving } from './leaving.svelte.ts';

	let open = $derived(leaving.asked);
	/** Closed by a key or beside it: they stay. */
	const closed = (): void => leaving.answer(false);
</script>

<Dialog bind:open title="Leave without keeping it?" onclose={closed}>
	<p>What you typed on this page is not kept yet.</p>
	<div class="mt-4 flex flex-wrap gap-3">
		<Act type="button" onclick={closed}>Stay</Act>
		<Act type="button" kind="danger" onclick={() => leaving.answer(true)}>Leave</Act>
	</div>
</Dialog>
