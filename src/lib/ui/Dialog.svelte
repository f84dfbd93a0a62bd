<script lang="ts">
	/** The library's dialog in our own dress, named by its title. */
	import Modal from 'flowbite-svelte/Modal.svelte';
	import type { Snippet } from 'svelte';

	interface Props {
		open: boolean;
		readonly title: string;
		readonly onclose?: () => void;
		readonly children: Snippet;
	}
	let { open = $bindable(), title, onclose = () => undefined, children }: Props = $props();
</script>

<Modal
	bind:open
	{title}
	{onclose}
	aria-label={title}
	size="xs"
	transitionParams={{ duration: 0 }}
	class="rounded-md border border-edge bg-sheet text-ink backdrop:bg-black/40 dark:bg-sheet dark:text-ink"
	classes={{ header: 'p-4 text-ink dark:text-ink', body: 'p-4 text-base text-ink dark:text-ink' }}
>
	{@render children()}
</Modal>
