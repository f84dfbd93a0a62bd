<script lang="ts">
	/** Which clients Today shows, and in which order; what is chosen stays in the address. On a phone it is said in a line and chosen from below, so that the clients come first. */
	import type Drawer from 'flowbite-svelte/Drawer.svelte';
	import { chosenText, foundText } from '#lib/wording/today-choice.ts';
	import TodayForm from './TodayForm.svelte';

	interface Props {
		readonly search: string;
		readonly show: string;
		readonly part: string;
		readonly due: string;
		readonly order: string;
		/** Clients it comes to. */
		readonly found: number;
	}
	let { found, ...props }: Props = $props();
	let open = $state(false);
	/** The library's drawer, fetched when somebody wants it; where it cannot be had, the form stands in the page. */
	let From = $state<typeof Drawer>();
	let inPage = $state(false);
	/** Part and order are chosen one after the other: it stands until whoever chooses has done. */
	const shut = (): void => void (open = false);
	async function choose(): Promise<void> {
		try {
			From ??= (await import('flowbite-svelte/Drawer.svelte')).default;
			open = true;
		} catch {
			inPage = true;
		}
	}
</script>

<TodayForm
	{...props}
	of=""
	class="ml-auto flex flex-wrap items-center gap-2 {inPage ? '' : 'max-sm:hidden noscript:flex'}"
/>
{#if !inPage}<button
		type="button"
		onclick={choose}
		class="min-h-10 cursor-pointer text-accent sm:hidden noscript:hidden"
		>{chosenText(props)} <span aria-hidden="true">▴</span></button
	>{/if}
{#if From !== undefined}<From
		bind:open
		placement="bottom"
		width="full"
		aria-labelledby="chosen-title"
		transitionParams={{ duration: 0 }}
		class="max-w-none rounded-t-md border-t border-edge bg-sheet p-4 text-ink dark:bg-sheet"
	>
		<h2 id="chosen-title" class="mb-3">Whom Today shows</h2>
		<TodayForm {...props} of="chosen-" class="flex flex-col gap-3" onnamed={shut} />
		<button
			type="button"
			onclick={shut}
			class="mt-4 min-h-12 w-full cursor-pointer rounded-md bg-accent text-lg font-semibold text-accent-ink"
			>{foundText(found)}</button
		>
	</From>{/if}
