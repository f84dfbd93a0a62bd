<script lang="ts">
	/** The four groups of work at the thumb, each with its most pressing state; one opens its places. For a phone. */
	import { afterNavigate } from '$app/navigation';
	import { WORK_GROUPS, type WorkPlace, type WorkView } from '#lib/contract/view.ts';
	import { GROUP_NAME, pressingOf, TONE_INK } from './work-words.ts';

	interface Props {
		readonly clientId: string;
		readonly work: WorkView;
		readonly here: WorkPlace | undefined;
	}
	let { clientId, work, here }: Props = $props();
	let bar = $state<HTMLElement>();
	afterNavigate(() => {
		for (const open of bar?.querySelectorAll('details[open]') ?? []) open.removeAttribute('open');
	});
	const hereIn = $derived(work.entries.find((e) => e.to === here)?.group);
</script>

<nav
	bind:this={bar}
	aria-label="Work on this client, by group"
	class="no-print fixed inset-x-0 bottom-0 z-10 grid grid-cols-4 border-t bg-sheet lg:hidden"
>
	{#each WORK_GROUPS as group (group)}
		{@const entries = work.entries.filter((e) => e.group === group)}
		{@const pressing = pressingOf(entries)}
		<details name="work" class="group">
			<summary
				class="flex min-h-14 cursor-pointer list-none flex-col items-center justify-center text-center {hereIn ===
				group
					? 'font-bold text-accent'
					: ''} group-open:bg-wash"
				>{GROUP_NAME[group]}<span
					class="text-xs font-normal {pressing ? TONE_INK[pressing.tone] : 'text-quiet'}"
					>{pressing?.state ?? ' '}</span
				></summary
			>
			<ul class="fixed inset-x-0 bottom-14 border-t bg-sheet pb-1">
				{#each entries as e (e.to)}
					<li>
						<a
							href="/clients/{clientId}/{e.to}"
							aria-current={here === e.to ? 'page' : undefined}
							class="flex min-h-12 items-center px-5 text-ink no-underline {here === e.to
								? 'bg-wash font-bold'
								: ''}"
							>{e.label}<span class="ml-auto text-sm font-normal {TONE_INK[e.tone]}">{e.state}</span></a
						>
					</li>
				{/each}
			</ul>
		</details>
	{/each}
</nav>
