<script lang="ts">
	/** The work on a client in its order, in four groups; beside each place where it stands. For a desk. */
	import SidebarItem from 'flowbite-svelte/SidebarItem.svelte';
	import { WORK_GROUPS, type WorkPlace, type WorkView } from '#lib/contract/view.ts';
	import { GROUP_NAME, TONE_INK } from './work-words.ts';

	interface Props {
		readonly clientId: string;
		readonly work: WorkView;
		readonly here: WorkPlace | undefined;
	}
	let { clientId, work, here }: Props = $props();
	const LINK =
		'flex min-h-8 items-center gap-2 border-l-3 py-1 pr-3 pl-4 text-ink no-underline hover:bg-wash';
</script>

<nav aria-label="Work on this client" class="no-print">
	{#each WORK_GROUPS as group (group)}
		<h2 class="mt-2 px-5 text-sm font-normal text-quiet">{GROUP_NAME[group]}</h2>
		<ul>
			{#each work.entries.filter((e) => e.group === group) as e (e.to)}
				<SidebarItem
					href="/clients/{clientId}/{e.to}"
					label={e.label}
					active={here === e.to}
					spanClass=""
					title="{e.label}: key {e.key}"
					activeClass="{LINK} border-accent bg-wash font-bold"
					nonActiveClass="{LINK} border-transparent"
				>
					{#snippet subtext()}<span class="ml-auto text-right text-sm font-normal {TONE_INK[e.tone]}"
							>{e.state}</span
						>{/snippet}
				</SidebarItem>
			{/each}
		</ul>
	{/each}
</nav>
