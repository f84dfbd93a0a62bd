<script lang="ts">
	/** A thing that can be done: the library's button in our own dress. */
	import Button from 'flowbite-svelte/Button.svelte';
	import type { Snippet } from 'svelte';

	interface Props {
		readonly kind?: 'primary' | 'quiet' | 'danger';
		readonly big?: boolean;
		readonly children: Snippet;
		readonly [key: string]: unknown;
	}
	let { kind = 'primary', big = false, children, ...rest }: Props = $props();
	const DRESS = {
		primary: 'bg-accent text-accent-ink hover:bg-accent hover:brightness-110 border border-transparent',
		quiet: 'bg-transparent text-accent hover:bg-wash border border-edge',
		danger: 'bg-transparent text-stop hover:bg-wash border border-stop'
	};
	const size = $derived(big ? 'min-h-13 px-5 text-lg' : 'min-h-10 px-4 text-base');
</script>

<Button
	type="submit"
	{...rest}
	class="rounded-md font-semibold shadow-none focus:ring-0 dark:bg-transparent {size} {DRESS[kind]}"
	>{@render children()}</Button
>
