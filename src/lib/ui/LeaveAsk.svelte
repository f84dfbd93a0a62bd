<script lang="ts">
	/** Asked before a page is left with something typed and not kept. */
	import Modal from 'flowbite-svelte/Modal.svelte';
	import Act from './Act.svelte';
	import { leaving } from './leaving.svelte.ts';

	let open = $derived(leaving.asked);
	/** Closed by a key or beside it: they stay. */
	const closed = (): void => leaving.answer(false);
</script>

<Modal
	bind:open
	title="Leave without keeping it?"
	aria-label="Leave without keeping it?"
	size="xs"
	transitionParams={{ duration: 0 }}
	onclose={closed}
	class="rounded-md border border-edge bg-sheet text-ink backdrop:bg-black/40 dark:bg-sheet dark:text-ink"
	classes={{ header: 'p-4 text-ink dark:text-ink', body: 'p-4 text-base text-ink dark:text-ink' }}
>
	<p>What you typed on this page is not kept yet.</p>
	<div class="mt-4 flex flex-wrap gap-3">
		<Act type="button" onclick={closed}>Stay</Act>
		<Act type="button" kind="danger" onclick={() => leaving.answer(true)}>Leave</Act>
	</div>
</Modal>
