<script lang="ts">
	/** A source by name and year: what it says while it is pointed at or has the focus, and the list of all behind it. */
	import { tick } from 'svelte';
	import { resolve } from '$app/paths';
	import type Popover from 'flowbite-svelte/Popover.svelte';
	import { gradeText, sourceName } from '#lib/wording/sources.ts';

	interface Props {
		readonly source: string;
	}
	let { source }: Props = $props();
	const id = $props.id();
	let said = $state<{ readonly what: string; readonly grade: string }>();
	let Shown = $state<typeof Popover>();
	let link = $state<HTMLAnchorElement>();

	/** Asked for once, with the piece that shows it; without an answer the link is there all the same. */
	async function point(): Promise<void> {
		if (said !== undefined) return;
		try {
			const answer = await fetch(resolve('/sources/[key]', { key: source }));
			if (!answer.ok) return;
			said = (await answer.json()) as { what: string; grade: string };
			Shown = (await import('flowbite-svelte/Popover.svelte')).default;
			// It waits for what has happened already.
			await tick();
			link?.dispatchEvent(new MouseEvent('mouseenter'));
		} catch {
			// No network.
		}
	}
</script>

<a bind:this={link} href="/sources#{source}" id="source-{id}" onpointerenter={point} onfocus={point}
	>{sourceName(source)}</a
>{#if Shown !== undefined && said !== undefined}<Shown
		triggeredBy="#source-{id}"
		transitionParams={{ duration: 0 }}
		class="z-20 w-80 max-w-full rounded-md border border-edge bg-sheet text-sm font-normal text-ink shadow-lg dark:bg-sheet dark:text-ink"
		>{said.what.replaceAll('*', '')}
		<span class="label mt-1 block">{gradeText(said.grade)}</span></Shown
	>{/if}
