<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { HeadView } from '#lib/contract/view.ts';
	import { onKeys } from '#lib/ui/keys.ts';

	let { children } = $props();
	const head = $derived(page.data.head as HeadView | undefined);
	const TABS = [
		['measure', 'Measure', '1'],
		['ladder', 'Ladder', '2'],
		['log', 'Log', '3'],
		['morning', 'Morning', '4'],
		['decide', 'Decide', '5'],
		['trend', 'Trend', '6']
	] as const;
	const keys = onKeys(Object.fromEntries(TABS.map(([to, , key]) => [key, () => void goto(`/clients/${page.params.id}/${to}`)])));
	const here = $derived(page.url.pathname.split('/')[3]);
</script>

<svelte:window onkeydown={keys} />
{#if head}
	<section aria-label="Client" class="border-b px-7 pt-3 max-sm:px-4">
		<div class="flex flex-wrap items-baseline gap-x-5 gap-y-0.5">
			<h1>{head.name} · {head.regions.join(', ')}</h1>
			<span class="label">{head.age} · {head.occupation} · {head.heightCm} cm, {head.massKg} kg</span>
			<span class="label max-sm:hidden">{head.policy} policy · {head.technique ?? 'Ordinary rise'}</span>
			{#if head.limitingJoint}<span class="label max-sm:hidden">limited by <strong class="text-ink">{head.limitingJoint}</strong></span>{/if}
		</div>
		{#if head.flags.length > 0 || head.limits.length > 0}
			<ul class="flex flex-wrap gap-x-5 pt-1 text-sm">
				{#each head.flags as f (f.id)}
					<li class="flex items-center gap-1.5 font-semibold text-stop">
						<svg width="14" height="14" viewBox="0 0 26 26" aria-hidden="true"><path d="M9 3 H17 L23 9 V17 L17 23 H9 L3 17 V9 Z" fill="var(--stop)" /></svg>
						{f.severity === 'red' ? 'Red flag' : 'For review'}: {f.code}
					</li>
				{/each}
				{#each head.limits as l (l.text)}
					<li class={l.overdue ? 'text-caution' : 'text-quiet'}>Protocol limit: {l.text}{l.review ? `, review ${l.review}` : ''}{l.overdue ? ' (overdue)' : ''}</li>
				{/each}
			</ul>
		{/if}
		<nav aria-label="Work on this client" class="no-print -mb-px flex gap-1 overflow-x-auto pt-2">
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
