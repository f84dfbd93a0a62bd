<script lang="ts">
	/** What is due besides the slips, and with how many clients; each chooses them, and chosen again shows everyone. */
	import type { Due } from '#lib/core/client/due.ts';
	import { DUE_COUNT } from '#lib/wording/due.ts';

	interface Props {
		readonly counts: readonly { readonly what: Due; readonly clients: number }[];
		readonly chosen: string;
		/** The address that shows those with whom something is due. */
		readonly link: (due: string) => string;
	}
	let { counts, chosen, link }: Props = $props();
	const text = ({ what, clients }: Props['counts'][number]): string =>
		`${clients} ${DUE_COUNT[what][clients === 1 ? 0 : 1]}`;
</script>

{#if counts.length > 0 || chosen !== ''}
	<nav
		aria-label="Due"
		class="mb-2 flex flex-wrap items-baseline gap-x-4 gap-y-1 text-sm"
		data-testid="due"
		data-sveltekit-keepfocus
	>
		<span class="label">Due</span>
		{#each counts as c (c.what)}<a
				href={link(chosen === c.what ? '' : c.what)}
				aria-current={chosen === c.what ? 'true' : undefined}
				class="py-1 aria-current:font-bold">{text(c)}</a
			>{/each}
		{#if chosen !== ''}<a href={link('')} class="py-1">everyone</a>{/if}
	</nav>
{/if}
