<script lang="ts" generics="T extends NamedClient">
	/** A client found by a part of the name, and led to where `to` says. What is asked stands in the address: it is asked without a script too, and Back goes back. */
	import type { Found, NamedClient } from '#lib/contract/found.ts';

	interface Props {
		readonly label: string;
		/** Null where nothing was asked. */
		readonly found: Found<T> | null;
		readonly to: (clientId: string) => string;
		/** What is said beside a name. */
		readonly beside?: (client: T) => string;
		readonly nobody: string;
		/** What else of the address stays. */
		readonly keep?: Readonly<Record<string, string>>;
		/** For a finger: names are tall, and stand beside each other. */
		readonly touch?: boolean;
		readonly class?: string;
	}
	let { label, found, to, beside, nobody, keep = {}, touch = false, class: outer = '' }: Props = $props();
	const more = $derived(found === null ? 0 : found.found - found.listed.length);
</script>

<div class={outer}>
	<form
		method="GET"
		role="search"
		class="flex flex-wrap items-end gap-2"
		data-sveltekit-noscroll
		data-sveltekit-keepfocus
	>
		{#each Object.entries(keep) as [name, value] (name)}<input type="hidden" {name} {value} />{/each}
		<label class="label"
			>{label}<input
				name="find"
				type="search"
				value={found?.find ?? ''}
				placeholder="part of a name"
				class="block min-h-9 w-44 rounded-md border border-edge bg-sheet px-2 text-base text-ink"
			/></label
		>
		<button class="min-h-9 cursor-pointer rounded border border-edge px-2 text-sm text-accent">Find</button>
	</form>
	{#if found !== null}
		<ul class="mt-1 {touch ? 'flex flex-wrap items-center gap-x-5' : 'text-sm'}" aria-label="{label}: found">
			{#each found.listed as c (c.clientId)}
				<li>
					<a
						href={to(c.clientId)}
						data-sveltekit-noscroll
						class="inline-flex items-center {touch ? 'min-h-11' : 'min-h-6'}">{c.name}</a
					>{beside?.(c) ?? ''}
				</li>
			{:else}
				<li class="text-quiet">{nobody}</li>
			{/each}
			{#if more > 0}<li class="text-quiet">and {more} more: type more of the name</li>{/if}
		</ul>
	{/if}
</div>
