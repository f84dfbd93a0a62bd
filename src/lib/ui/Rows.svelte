<script lang="ts">
	/** A table in the library's frame: it scrolls by itself where it is too wide. Its rows are plain markup, however many. */
	import Table from 'flowbite-svelte/Table.svelte';
	import type { Snippet } from 'svelte';

	interface Props {
		readonly heads: readonly string[];
		/** The heading where it is more than names. */
		readonly head?: Snippet | undefined;
		readonly children: Snippet;
		readonly [key: string]: unknown;
	}
	let { heads, head: own, children, class: more = '', ...rest }: Props = $props();
</script>

<Table {...rest} border={false} class="plain text-ink dark:text-ink {more}">
	{#if own !== undefined}<thead>{@render own()}</thead>{:else if heads.length > 0}<thead
			><tr
				>{#each heads as head, i (i)}<th scope="col">{head}</th>{/each}</tr
			></thead
		>{/if}
	<tbody>{@render children()}</tbody>
</Table>
