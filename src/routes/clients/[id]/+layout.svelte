<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { HeadView } from '#lib/contract/view.ts';
	import { onKeys } from '#lib/ui/keys.ts';
	import { URGENCY_WORD } from '#lib/wording/screening.ts';

	let { children } = $props();
	const head = $derived(page.data.head as HeadView | undefined);
	const TABS = [
		['screen', 'Screen', '1'],
		['ask', 'Ask', '2'],
		['measure', 'Measure', '3'],
		['envelope', 'Envelope', '4'],
		['ladders', 'Ladders', '5'],
		['arrive', 'Arrive', '6'],
		['log', 'Log', '7'],
		['morning', 'Morning', '8'],
		['decide', 'Decide', '9'],
		['trend', 'Trend', '0']
	] as const;
	const keys = onKeys(Object.fromEntries(TABS.map(([to, , key]) => [key, () => void goto(`/clients/${page.params.id}/${to}`)])));
	/** One family's ladder belongs to the ladders. */
	const here = $derived(page.url.pathname.split('/')[3]?.replace(/^ladder$/, 'ladders'));
	let tabs = $state<HTMLElement>();
	// On a phone the row of tabs is longer than the screen: where one is comes into view.
	$effect(() => {
		const current = here === undefined ? null : tabs?.querySelector('[aria-current]');
		if (tabs === undefined || current === null || current === undefined) return;
		const [row, tab] = [tabs.getBoundingClientRect(), current.getBoundingClientRect()];
		tabs.scrollLeft += tab.left + tab.width / 2 - row.left - row.width / 2;
	});
</script>

<svelte:window onkeydown={keys} />
{#if head}
	<section aria-label="Client" class="border-b px-7 pt-3 max-sm:px-4">
		<div class="flex flex-wrap items-baseline gap-x-5 gap-y-0.5">
			<h1>{head.name} · {head.regions.join(', ')}</h1>
			<span class="label">{head.age} · {head.occupation} · {head.build}</span>
			<span class="label max-sm:hidden">{head.policy} policy · {head.technique ?? 'Ordinary rise'}</span>
			{#if head.limitingJoint}<span class="label max-sm:hidden">limited by <strong class="text-ink">{head.limitingJoint}</strong></span>{/if}
		</div>
		{#if head.flags.length > 0 || head.limits.length > 0 || head.operations.length > 0}
			<ul class="flex flex-wrap gap-x-5 pt-1 text-sm">
				{#each head.flags as f (f.id)}
					{#if f.severity === 'caution'}
						<li class="flex items-center gap-1.5 text-caution"><svg width="13" height="13" viewBox="0 0 26 26" aria-hidden="true"><path d="M13 3 24 23H2Z" fill="none" stroke="var(--caution)" stroke-width="3" /></svg>Caution: {f.name}</li>
					{:else}
						<li class="flex items-center gap-1.5 font-semibold text-stop">
							<svg width="14" height="14" viewBox="0 0 26 26" aria-hidden="true"><path d="M9 3 H17 L23 9 V17 L17 23 H9 L3 17 V9 Z" fill="var(--stop)" /></svg>
							{f.severity === 'review' ? 'For review' : URGENCY_WORD[f.urgency]}: {f.name}{#if here !== 'screen'}. <span class="font-normal">{f.action}</span>{/if}
						</li>
					{/if}
				{/each}
				{#each head.operations as o (o.id)}<li class={o.waits ? 'font-semibold text-stop' : 'text-quiet'} data-testid="operation-now">Operation: {o.text}</li>{/each}
				{#each head.limits as l (l.id)}
					<li class={l.overdue ? 'text-caution' : 'text-quiet'}>Protocol limit: {l.text}{l.review ? `, review ${l.review}` : ''}{l.overdue ? ' (overdue)' : ''}</li>
				{/each}
			</ul>
		{/if}
		{#if here !== 'decide' && here !== 'log' && here !== 'arrive'}{#each head.held as h (h.exerciseId)}<p class="flex flex-wrap gap-x-3 pt-1 text-sm font-semibold text-stop" data-testid="suspended">{h.text} <a class="underline" href="/clients/{page.params.id}/decide?exercise={h.exerciseId}">Sign the mend</a></p>{/each}{/if}
		<nav bind:this={tabs} aria-label="Work on this client" class="no-print -mb-px flex gap-1 overflow-x-auto pt-2">
			{#each TABS as [to, label] (to)}
				<a
					href="/clients/{page.params.id}/{to}"
					aria-current={here === to ? 'page' : undefined}
					class="border-b-3 px-4 py-1.5 whitespace-nowrap no-underline max-sm:px-3 {here === to ? 'border-accent font-bold text-ink' : 'border-transparent text-quiet hover:text-ink'}">{label}</a
				>
			{/each}
		</nav>
	</section>
{/if}
{@render children()}
