<script lang="ts">
	/** Something to open, in the library's accordion: stays as the reader left it, and opens by itself when what is inside needs to be seen: a refusal, or what was typed and not sent. */
	import AccordionItem from 'flowbite-svelte/AccordionItem.svelte';
	import type { Snippet } from 'svelte';
	import { FILLED } from './keep-form.ts';

	interface Props {
		readonly title: string;
		readonly needed?: boolean;
		open?: boolean;
		/** How the title is dressed. */
		readonly class?: string;
		readonly children: Snippet;
	}
	let {
		title,
		needed = false,
		open = $bindable(false),
		class: dress = 'text-accent',
		children
	}: Props = $props();
	$effect.pre(() => {
		if (needed) open = true;
	});

	/** Fields are filled in before this stands, by a form inside it, or after, by one around it. */
	function openFilled(inside: HTMLElement): () => void {
		const show = (): void => void (open = true);
		if (inside.querySelector('[data-filled]') !== null) show();
		inside.addEventListener(FILLED, show);
		return () => inside.removeEventListener(FILLED, show);
	}
</script>

<AccordionItem
	bind:open
	headingTag="div"
	transitionType="none"
	classes={{
		button: `flex min-h-9 w-auto cursor-pointer items-center gap-1.5 border-0 border-t-0 group-first:border-t-0 group-first:rounded-none bg-transparent p-0 text-left text-base font-normal hover:underline focus:ring-0 dark:bg-transparent ${dress}`,
		active: 'text-inherit',
		inactive: 'text-inherit',
		content: 'border-0 p-0 dark:bg-transparent text-ink dark:text-ink'
	}}
>
	{#snippet header()}<span>{title}</span>{/snippet}
	{#snippet arrowup()}<span aria-hidden="true">▴</span>{/snippet}
	{#snippet arrowdown()}<span aria-hidden="true">▾</span>{/snippet}
	<div class="contents" {@attach openFilled}>{@render children()}</div>
</AccordionItem>
