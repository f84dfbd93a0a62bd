<script lang="ts">
	/** One tab under the card, in our own dress. */
	import TabItem from 'flowbite-svelte/TabItem.svelte';
	import type { Snippet } from 'svelte';

	interface Props {
		readonly title: string;
		open?: boolean;
		readonly children: Snippet;
	}
	let { title, open = $bindable(false), children }: Props = $props();
	const BUTTON = 'min-h-10 cursor-pointer border-b-3 p-0 text-base font-semibold';
</script>

<TabItem
	{title}
	bind:open
	activeClass="{BUTTON} border-accent text-accent"
	inactiveClass="{BUTTON} border-transparent text-quiet hover:text-ink"
	{children}
/>
