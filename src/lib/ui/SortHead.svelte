<script lang="ts">
	/** A heading that sorts: by a press here, or by an address where the server does it. */
	interface Props {
		readonly name: string;
		readonly sorted: false | 'asc' | 'desc';
		readonly press?: (() => void) | undefined;
		readonly href?: string | undefined;
	}
	let { name, sorted, press, href }: Props = $props();
	const ARROW = { asc: '↑', desc: '↓' } as const;
	const SAID = { asc: 'ascending', desc: 'descending' } as const;
</script>

<th scope="col" aria-sort={sorted ? SAID[sorted] : undefined}
	>{#snippet said()}{name}<span aria-hidden="true" class="ml-1 inline-block w-3 no-underline"
			>{sorted ? ARROW[sorted] : ''}</span
		>{/snippet}
	{#if href !== undefined}<a
			{href}
			class="text-quiet underline"
			data-sveltekit-keepfocus
			data-sveltekit-noscroll>{@render said()}</a
		>{:else if press !== undefined}<button
			type="button"
			class="min-h-6 cursor-pointer underline"
			onclick={press}>{@render said()}</button
		>{:else}{name}{/if}</th
>
