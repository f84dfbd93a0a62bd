<script lang="ts">
	/** Something to open: stays as the reader left it, and opens by itself when what is inside needs to be seen. */
	import type { Snippet } from 'svelte';

	interface Props {
		readonly title: string;
		readonly needed?: boolean;
		readonly children: Snippet;
		readonly [key: string]: unknown;
	}
	let { title, needed = false, children, ...rest }: Props = $props();
	let open = $state(false);
	$effect.pre(() => {
		if (needed) open = true;
	});
</script>

<details bind:open>
	<summary {...rest}>{title}</summary>
	{@render children()}
</details>
