<script lang="ts">
	import { goto } from '$app/navigation';
	import { page } from '$app/state';
	import type { HeadView, WorkPlace } from '#lib/contract/view.ts';
	import ClientBar from '#lib/ui/ClientBar.svelte';
	import ClientNotices from '#lib/ui/ClientNotices.svelte';
	import ClientRail from '#lib/ui/ClientRail.svelte';
	import FirstVisit from '#lib/ui/FirstVisit.svelte';
	import { shortDay } from '#lib/wording/days.ts';
	import { onKeys } from '#lib/ui/keys.ts';

	let { children } = $props();
	const head = $derived(page.data.head as HeadView | undefined);
	/** One family's ladder belongs to the ladders. */
	const here = $derived(
		page.url.pathname.split('/')[3]?.replace(/^ladder$/, 'ladders') as WorkPlace | undefined
	);
	const keys = $derived(
		onKeys(
			Object.fromEntries(
				(head?.work.entries ?? []).map((e) => [e.key, () => void goto(`/clients/${head?.id}/${e.to}`)])
			)
		)
	);
	const next = $derived(head?.work.next ?? null);
	const elsewhere = $derived(next !== null && next.to.split('?')[0] !== here);
</script>

<svelte:window onkeydown={(e) => keys(e)} />
{#if head}
	<div class="lg:grid lg:grid-cols-[13.5rem_minmax(0,1fr)] print:block">
		<section
			aria-label="Client"
			class="px-4 pt-3 lg:sticky lg:top-0 lg:h-dvh lg:overflow-y-auto lg:border-r lg:px-0 lg:pb-4 print:static print:h-auto print:border-0"
		>
			<div class="lg:px-5">
				<h1>
					{head.name}{#if head.regions.length > 0}<span class="lg:hidden print:inline"
							>&nbsp;· {head.regions.join(', ')}</span
						>{/if}
				</h1>
				<p class="label max-lg:hidden print:hidden">{head.regions.join(', ')}</p>
				<p class="label">{[head.age, head.occupation, head.build].filter((x) => x !== '').join(' · ')}</p>
				<p class="label max-sm:hidden">{head.policy} policy · {head.technique ?? 'Ordinary rise'}</p>
				{#if head.away}<p class="label" data-testid="away">
						lives in {head.away.tz.split('/').at(-1)?.replaceAll('_', ' ')}: there it is
						<strong class="text-ink">{shortDay(head.away.today)}</strong>
					</p>{/if}
				{#if head.limitingJoint}<p class="label max-sm:hidden">
						limited by <strong class="text-ink">{head.limitingJoint}</strong>
					</p>{/if}
			</div>
			<div class="max-lg:hidden">
				{#if next !== null && elsewhere}<p class="no-print mt-2 px-5 text-sm" data-testid="next">
						<span class="label block">next for this client</span>
						<a href="/clients/{head.id}/{next.to}">{next.text}</a>
					</p>{/if}
				<ClientRail clientId={head.id} work={head.work} {here} />
			</div>
		</section>
		<div id="work" tabindex="-1" class="min-w-0 outline-none max-lg:pb-16">
			{#if head.work.first !== null}<FirstVisit clientId={head.id} steps={head.work.first} />{/if}
			<ClientNotices {head} {here} />
			{@render children()}
		</div>
	</div>
	<ClientBar clientId={head.id} work={head.work} {here} />
{:else}{@render children()}{/if}
